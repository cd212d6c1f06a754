<?php

declare(strict_types=1);

namespace App\Money;

use App\Money\Claims\ClaimsQuery;
use App\Money\Pickup\PickupsQuery;
use Illuminate\Support\Facades\Cache;

/** What money asks for today: claims that cost more than they are worth, letters that are due. Worked out anew every minute. */
final readonly class MoneyNotes
{
    private const SECONDS = 60;

    public function __construct(private ClaimsQuery $claims, private PickupsQuery $pickups)
    {
    }

    /** @return array{int, int} claims rather mended than waited for, letters due */
    public function read(): array
    {
        /** @var array{int, int} */
        return Cache::store('memo')->remember(
            'money-notes',
            self::SECONDS,
            fn (): array => [$this->claims->toMend(), $this->pickups->lettersDue()],
        );
    }
}
