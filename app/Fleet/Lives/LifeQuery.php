<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\Refused;
use App\Fleet\Risks\Costs;
use App\Shop\Ability;
use App\Stock\Parts\Part;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Fleet\FailureCount;
use OddBench\Fleet\LifeGroup;
use OddBench\Fleet\LifeJudged;
use OddBench\Fleet\NotCounted;
use OddBench\Fleet\PartRisk;
use OddBench\Fleet\WearLife;
use OddBench\Fleet\Weibull;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Exact;

/** Reads the lives of all classes, and one of them whole: worked out anew, for a curve needs its band. */
final readonly class LifeQuery
{
    private const POINTS = 80;

    private const MOST_MARKS = 400;

    private const MOST_TAGS = 6;

    /** The curve is drawn until so many of a hundred are left. */
    private const LEFT = 0.03;

    /** P(at least n) below that is not told. */
    private const HARDLY = 0.01;

    public function __construct(private Knowledge $knowledge, private SeenQuery $seen, private LifeLines $lines, private Costs $costs)
    {
    }

    public function all(): LivesView
    {
        $fits = LifeFit::query()->whereNull('part_id')->whereNull('family')->whereNull('circumstance')
            ->orderByDesc('failures')->orderByDesc('running')->orderBy('part_class')->get();

        return new LivesView(
            $this->lines->of($fits->toBase()),
            $fits->first()?->at->toIso8601String(),
            WearLife::BELIEVES_ITSELF,
        );
    }

    /**
     * @param  string|null  $part  number of one make
     * @param  float  $ahead  print hours to look ahead
     */
    public function one(string $class, ?string $part, ?string $family, ?string $circumstance, float $ahead): LifeView
    {
        $this->refuseUnknown($class, $family);
        $make = $part === null ? null : Part::numbered($part)->id;
        $fits = LifeFit::query()->where('part_class', $class)
            ->orderByDesc('failures')->orderByDesc('running')->orderBy('id')->get()->toBase();
        $group = LifeGroup::of($class, $make === null ? null : (string) $make, $family, $circumstance);
        $fit = $fits->first(static fn (LifeFit $f): bool => $f->group()->key() === $group->key())
            ?? throw Refused::notFound('class', 'Nothing is known of how long these last: hours do not wear them, or none was seen here.');
        $parts = array_values(array_filter(
            iterator_to_array($this->seen->all($class), false),
            static fn (SeenAt $at): bool => in_array($group->key(), array_map(
                static fn (LifeGroup $g): string => $g->key(),
                LifeGroup::allOf($at->seen),
            ), true),
        ));
        $judged = $this->judge($parts, $fit, $fits);
        $sorted = $this->sorted($parts);
        $running = array_map(static fn (SeenAt $at): float => (float) $at->seen->age(), $sorted['runs']);
        $count = FailureCount::of(array_map(static fn (float $age): float => $judged->life->failsWithin($age, $ahead), $running));
        $costs = $this->costs->of($family ?? $this->usualFamily($parts), $class, $this->perWeek());
        $change = PartRisk::age($judged->life, $costs);
        $money = Gate::allows(Ability::SeeMoney);

        return new LifeView(
            of: $this->lines->of(collect([$fit]))[0],
            className: ucfirst($this->knowledge->partClasses[$class]),
            because: $judged->because(),
            medianHours: $judged->life->by(0.5),
            wearsOut: $judged->wearsOut(),
            curve: $this->curve($judged, $fit),
            failed: $this->marks($sorted['failed']),
            runs: $this->marks($sorted['runs']),
            takenOutWorking: count($sorted['worked']),
            notCounted: $this->notCounted($sorted['not']),
            changeAtHours: $change->at,
            flatFromHours: $change->flat[0] ?? null,
            flatToHours: $change->flat[1] ?? null,
            changeBecause: $change->because(),
            plannedMinor: $money ? Exact::whole($costs->planned) : null,
            failureMinor: $money ? Exact::whole($costs->failure) : null,
            costPerHour: $money ? $change->costPerHour : null,
            toFailurePerHour: $money ? $change->toFailure : null,
            aheadHours: $ahead,
            inUse: count($running),
            expected: $count->expected,
            atLeast: $count->atLeast(self::HARDLY),
            enough: $count->quantile(0.9),
            makes: $this->lines->of(self::seen($fits->whereNotNull('part_id'))),
            families: $this->lines->of(self::seen($fits->whereNotNull('family'))),
            circumstances: $this->lines->of(self::seen($fits->whereNotNull('circumstance'))),
        );
    }

    /**
     * @param  Collection<int, LifeFit>  $fits
     * @return Collection<int, LifeFit> those anything was seen of
     */
    private static function seen(Collection $fits): Collection
    {
        return $fits->filter(static fn (LifeFit $f): bool => $f->failures + $f->running > 0)->values();
    }

    private function refuseUnknown(string $class, ?string $family): void
    {
        if (! isset($this->knowledge->partClasses[$class])) {
            throw InputError::unknown('class', 'class of part', $class, array_keys($this->knowledge->partClasses));
        }
        if ($family !== null) {
            $this->knowledge->family($family, 'family');
        }
    }

    /**
     * @param  list<SeenAt>  $parts
     * @param  Collection<int, LifeFit>  $fits  of the class
     */
    private function judge(array $parts, LifeFit $fit, Collection $fits): LifeJudged
    {
        $lives = [];
        foreach ($parts as $at) {
            $life = $at->seen->life();
            if (! $life instanceof NotCounted) {
                $lives[] = $life;
            }
        }
        $all = $fit->leans_on_all ? $fits->first(static fn (LifeFit $f): bool => $f->group()->isAll()) : null;

        return (new WearLife)->judge(
            $lives,
            $all->mean_h ?? $fit->trade_h,
            $all->shape ?? $this->knowledge->wear[$fit->part_class]->shape ?? WearLife::USUAL_SHAPE,
            WearLife::PRIOR_FAILURES,
            'auto',
        );
    }

    /**
     * @param  list<SeenAt>  $parts
     * @return array{failed: list<SeenAt>, runs: list<SeenAt>, worked: list<SeenAt>, not: list<SeenAt>}
     */
    private function sorted(array $parts): array
    {
        $sorted = ['failed' => [], 'runs' => [], 'worked' => [], 'not' => []];
        foreach ($parts as $at) {
            $life = $at->seen->life();
            $sorted[match (true) {
                $life instanceof NotCounted => 'not',
                $life->failed => 'failed',
                $at->sits => 'runs',
                default => 'worked',
            }][] = $at;
        }
        $byAge = static fn (SeenAt $a, SeenAt $b): int => $a->seen->age() <=> $b->seen->age();
        usort($sorted['failed'], $byAge);
        usort($sorted['runs'], $byAge);

        return $sorted;
    }

    /** @return list<CurvePointView> */
    private function curve(LifeJudged $judged, LifeFit $fit): array
    {
        $wear = $this->knowledge->wear[$fit->part_class] ?? null;
        $trade = $fit->trade_h === null ? null : Weibull::withMean($wear->shape ?? WearLife::USUAL_SHAPE, $fit->trade_h);
        $until = max($judged->life->by(1 - self::LEFT), ($trade?->by(0.85)) ?? 0.0);
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $hours = $until * $i / self::POINTS;
            [$low, $high] = $judged->band($hours);
            $points[] = new CurvePointView(
                $hours,
                100 * $judged->life->survival($hours),
                100 * $low,
                100 * $high,
                $trade === null ? null : 100 * $trade->survival($hours),
            );
        }

        return $points;
    }

    /**
     * @param  list<SeenAt>  $parts
     * @return list<PartLifeView>
     */
    private function marks(array $parts): array
    {
        return array_map(fn (SeenAt $at): PartLifeView => new PartLifeView(
            $at->machine->tag,
            $at->position->name,
            (float) $at->seen->age(),
            $at->seen->endedOn,
        ), array_slice($parts, 0, self::MOST_MARKS));
    }

    /**
     * @param  list<SeenAt>  $parts
     * @return list<NotCountedView>
     */
    private function notCounted(array $parts): array
    {
        $why = [];
        foreach ($parts as $at) {
            $life = $at->seen->life();
            if ($life instanceof NotCounted && $life !== NotCounted::NoHours) {
                $why[$life->value][] = $at->machine->tag;
            }
        }
        $views = [];
        foreach ($why as $code => $tags) {
            $reason = NotCounted::from($code);
            $some = array_slice(array_values(array_unique($tags)), 0, self::MOST_TAGS);
            $views[] = new NotCountedView(count($tags), $reason->words(), $reason->wayOut(), $some);
        }

        return $views;
    }

    /** @param  list<SeenAt>  $parts */
    private function usualFamily(array $parts): string
    {
        $times = array_count_values(array_map(static fn (SeenAt $at): string => $at->machine->family, $parts));
        arsort($times);

        return (string) array_key_first($times);
    }

    /** What a machine of the farm runs in a week, on the average. */
    private function perWeek(): float
    {
        $mean = DB::table('machine_risks as k')->join('machines as m', 'm.id', '=', 'k.machine_id')
            ->where('m.held_as', 'farm')->avg('k.per_week');

        return is_numeric($mean) ? (float) $mean : 0.0;
    }
}
