<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Machines\Fitting;
use App\Machines\Machine;
use App\Shop\Setting;
use App\Stock\Parts\ClassCosts;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\DonorPart;
use OddBench\Money\PartsWorth;

/** What sits in a machine and could go on the shelf, with what this shop pays and needs of it. */
final readonly class DonorParts
{
    /** How often a class was needed, in the last year and the last two; and what lies there. */
    private const DEMAND = <<<'SQL'
        WITH asked AS (
            SELECT q.class, count(*) AS two, count(*) FILTER (WHERE m.at > ?::timestamptz - interval '1 year') AS year
            FROM movements m JOIN parts q ON q.id = m.part_id
            WHERE m.kind = 'used' AND m.at > ?::timestamptz - interval '2 years'
                AND NOT EXISTS (SELECT 1 FROM movements u WHERE u.undoes_id = m.id)
            GROUP BY q.class
        ), lies AS (SELECT class, sum(on_hand) AS on_hand FROM parts GROUP BY class)
        SELECT lies.class, lies.on_hand, coalesce(asked.year, 0) AS year, coalesce(asked.two, 0) AS two
        FROM lies LEFT JOIN asked USING (class)
        SQL;

    public function __construct(private Knowledge $knowledge, private ClassCosts $costs)
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
        $demand = collect(DB::select(self::DEMAND, [now()->toIso8601String(), now()->toIso8601String()]))->keyBy('class');
        $parts = [];
        foreach ($this->knowledge->family($family)->positions as $position) {
            $class = $position->partClass;
            if (in_array($position->code, $gone, true) || in_array($class, Knowledge::USED_UP, true)
                || ($this->knowledge->wear[$class] ?? null)?->consumable === true) {
                continue;
            }
            $asked = $demand->get($class);
            $fitted = $fittedAt[$position->code] ?? 0.0;
            $parts[] = new DonorPart(
                $this->knowledge->partClasses[$class] ?? $class,
                $position->code,
                (int) round($costs[$class] ?? ($this->knowledge->prices[$class] ?? 0.0) * Setting::benchMinuteMinor()),
                $runH === null ? null : max(0.0, $runH - $fitted),
                $this->knowledge->lifeHours($position),
                (int) ($asked->year ?? 0),
                (int) ($asked->two ?? 0),
                (int) ($asked->on_hand ?? 0),
            );
        }

        return PartsWorth::of($parts, (float) Setting::benchMinuteMinor());
    }
}
