<?php

declare(strict_types=1);

namespace App\Money\Buying;

/** A machine on offer as it stands, and what it made. */
final readonly class StandingOffer
{
    public function __construct(public Offer $offer, public SoldView $sold, public OfferLine $line)
    {
    }
}
