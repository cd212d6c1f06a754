<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Machines\Fitting;
use App\Machines\Machine;
use App\Shop\Setting;
use App\Stock\Parts\ClassCosts;
use App\Stock\Shelf\MovementDays;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\DonorPart;
use OddBench\Money\PartsWorth;

/** What sits in a machine and could go on the shelf, with what this shop pays and needs of it. */
final readonly class DonorParts
{
    public function __construct(private Knowledge $knowledge, private ClassCosts $costs, private MovementDays $moved)
    {
    }

    public function of(Machine $machine): PartsWorth
    {
        $gone = $hours = [];
        foreach (Fitting::query()->where('machine_id', $machine->id)->orderBy('id')->get() as $fitting) {
            $gone[$fitting->position] = $fitting->removed_at !== null;
            $hours[$fitting->position] = $fitting->fitted_hours === null ? null : (float) $fitting->fitted_hours;
        }

        return $this->worth($machine->family, $machine->hoursRun(), $hours, array_keys(array_filter($gone)));
    }

    /** Of one nobody has seen yet. */
    public function ofFamily(string $family, ?float $runH): PartsWorth
    {
        return $this->worth($family, $runH, [], []);
    }

    /**
     * @param  array<string, float|null>  $fittedAt  position => the counter when what sits there was fitted
     * @param  list<string>  $gone  positions that are empty
     */
    private function worth(string $family, ?float $runH, array $fittedAt, array $gone): PartsWorth
    {
        $costs = $this->costs->all()['costs'];
        $classes = array_values(array_unique(array_column($this->knowledge->family($family)->positions, 'partClass')));
        $used = $this->moved->used($classes);
        $lies = DB::table('parts')->whereIn('class', $classes)
            ->groupBy('class')
            ->selectRaw('class, sum(on_hand) AS n')
            ->pluck('n', 'class');
        $parts = [];
        foreach ($this->knowledge->family($family)->positions as $position) {
            $class = $position->partClass;
            if (in_array($position->code, $gone, true) || in_array($class, Knowledge::USED_UP, true)
                || ($this->knowledge->wear[$class] ?? null)?->consumable === true) {
                continue;
            }
            $fitted = $fittedAt[$position->code] ?? 0.0;
            $parts[] = new DonorPart(
                $this->knowledge->partClasses[$class] ?? $class,
                $position->code,
                (int) round($costs[$class] ?? ($this->knowledge->prices[$class] ?? 0.0) * Setting::benchMinuteMinor()),
                $runH === null ? null : max(0.0, $runH - $fitted),
                $this->knowledge->lifeHours($position),
                $used[$class]['year'] ?? 0,
                $used[$class]['two'] ?? 0,
                is_numeric($n = $lies[$class] ?? 0) ? (int) $n : 0,
            );
        }

        return PartsWorth::of($parts, (float) Setting::benchMinuteMinor());
    }
}
