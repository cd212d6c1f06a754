<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;

/** A room that takes down its part when a machine is booked in. */
interface HearsBooking
{
    public const TAG = 'hears-booking';

    /** Inside the running write. */
    public function booked(Job $job, Booking $booking, Person $by): void;
}
