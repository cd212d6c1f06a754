<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

/** A request of Find says by which school its answer ranks; measure first when it says nothing. */
trait InSchool
{
    /** @return array<string, list<mixed>> */
    private static function school(): array
    {
        return ['school' => ['sometimes', 'string', 'in:measure-first,swap-first']];
    }

    public function swapFirst(): bool
    {
        return $this->words('school') === 'swap-first';
    }
}
