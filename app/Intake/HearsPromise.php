<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;

/** Who must know that a day was promised, or that an estimate was sent out with one. */
interface HearsPromise
{
    /**
     * Inside the running write.
     *
     * @param  'book-in'|'changed'|'estimate'  $kind
     */
    public function promised(Job $job, string $kind, Person $by): void;
}
