<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Machines\Machine;
use App\Machines\Place;
use Illuminate\Database\Eloquent\Builder;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;

/** The other machines a fault may be on as well: those with the part, whatever their family. */
final readonly class SistersQuery
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @return Builder<Machine> */
    public function of(Fault $fault, Machine $found): Builder
    {
        $families = array_keys(array_filter(
            $this->knowledge->families,
            static fn (Family $f): bool => $fault->sisters?->include($f, $fault) ?? false,
        ));

        return Machine::query()->whereIn('family', $families)->where('id', '<>', $found->id)->whereNotIn('place', Place::gone());
    }
}
