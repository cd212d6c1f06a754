<?php

declare(strict_types=1);

namespace App\Release;

use App\Diagnosis\Findings\FoundInJob;
use App\Instruments\Reading;
use App\Intake\JobState;
use App\Proof\OwedQuery;
use App\Proof\ProofResult;
use App\Repair\Mend;
use App\Repair\Positions\FittingView;
use App\Repair\Positions\PositionsQuery;
use App\Repair\WorkOnJob;
use App\Shop\Setting;
use App\Shop\ShopDay;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\StockOfJob;
use Illuminate\Support\Carbon;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Owed;
use OddBench\Release\Condition;
use OddBench\Release\Destination;
use OddBench\Release\RepairWarranty;
use OddBench\Release\WornPosition;

/** Gathers what goes on the sheet of a machine that leaves. */
final readonly class WriteSheet
{
    public function __construct(
        private Knowledge $knowledge,
        private OwedQuery $owed,
        private PositionsQuery $positions,
        private VisitsQuery $visits,
        private ShopDay $day,
    ) {
    }

    /** The grade of a machine as it stands. */
    public function condition(JobState $state, ?string $shortcomings): Condition
    {
        $waived = array_map(
            static fn (array $p): string => $p['name'],
            array_filter($this->proofs($state), static fn (array $p): bool => $p['waived'] !== null),
        );

        return Condition::of(
            array_map(
                fn (FittingView $f): WornPosition => new WornPosition(
                    $f->name,
                    $f->hoursOnIt,
                    $f->lifeHours,
                    $this->knowledge->wear[$f->partClass]->consumable ?? false,
                ),
                $this->positions->of($state->job->machine),
            ),
            array_values($waived),
            $shortcomings,
        );
    }

    public function of(
        JobState $state,
        Destination $to,
        bool $draft,
        ?RepairWarranty $warranty,
        ?Condition $condition,
        ?string $note,
        ?string $danger,
    ): ?Sheet {
        $kind = match ($to) {
            Destination::Sale => 'condition',
            Destination::Owner, Destination::Service => 'repair',
            Destination::Unmended => 'danger',
            default => null,
        };
        if ($kind === null) {
            return null;
        }
        $job = $state->job;
        $work = WorkOnJob::of($state);
        $faults = FoundInJob::of($state)->faults();
        $names = fn (bool $only): array => array_values(array_map(
            $this->knowledge->faultName(...),
            $only ? array_intersect($faults, $work->mended()) : $faults,
        ));

        return new Sheet(
            kind: $kind,
            shop: Setting::text('shop_name'),
            tag: $job->machine->tag,
            family: $this->knowledge->familyName($job->machine->family),
            serial: $job->machine->serial,
            hours: $job->hoursRun(),
            hoursAbout: $job->hoursAreAbout(),
            cameIn: self::day($job->opened_at),
            signedOut: $draft ? null : $this->day->today(),
            complaint: $kind === 'condition' ? '' : $job->complaint,
            found: $names(false) !== [] ? $names(false) : ($job->find_passed_because === null ? [] : [$job->find_passed_because]),
            done: array_values($work->mends->map(static fn (Mend $m): string => $m->done)->all()),
            replaced: $this->replaced($state),
            readings: $kind === 'danger' ? [] : $this->readings($state),
            proofs: $kind === 'danger' ? [] : $this->proofs($state),
            warranty: $warranty === null || $names(true) === [] ? null : [
                'until' => $warranty->until,
                'hours' => $warranty->untilHours,
                'faults' => $names(true),
            ],
            condition: $condition === null ? null : [
                'grade' => $condition->grade->value,
                'because' => $condition->because,
                'positions' => array_values(array_map(
                    static fn (FittingView $f): array => [
                        'name' => $f->name,
                        'part' => $f->part,
                        'hours' => $f->hoursOnIt,
                        'life' => $f->lifeHours,
                    ],
                    array_filter($this->positions->of($job->machine), static fn (FittingView $f): bool => $f->lifeHours !== null),
                )),
                'visits' => array_map(
                    static fn (PastJobView $p): array => ['at' => substr($p->openedAt, 0, 10), 'faults' => $p->faults],
                    $this->visits->of($job->machine),
                ),
            ],
            note: $note,
            danger: $danger,
        );
    }

    /** @return list<array{position: string, part: string}> */
    private function replaced(JobState $state): array
    {
        $positions = $this->knowledge->families[$state->job->machine->family]->positions ?? [];

        return array_values(StockOfJob::of($state)->fitted()
            ->map(static fn (Movement $m): array => ['position' => isset($positions[$m->position]) ? $positions[$m->position]->name : (string) $m->position, 'part' => $m->part->name])->all());
    }

    /**
     * What each instrument said first and last, where both were taken.
     *
     * @return list<array{name: string, before: string, after: string}>
     */
    private function readings(JobState $state): array
    {
        $job = $state->job;
        $mended = WorkOnJob::of($state)->mends->min('at');
        $lines = [];
        foreach (Reading::query()->where('job_id', $job->id)->whereNotNull('value')->orderBy('id')->get()->groupBy(static fn (Reading $r): string => "{$r->instrument}|{$r->position}") as $all) {
            $before = $mended === null ? null : $all->filter(static fn (Reading $r): bool => $r->at->lte($mended))->last();
            $after = $mended === null ? $all->last() : $all->filter(static fn (Reading $r): bool => $r->at->gt($mended))->last();
            $any = $after ?? $before;
            if ($any === null) {
                continue;
            }
            $code = (string) preg_replace('/^check:/', '', $any->instrument);
            $name = $this->knowledge->instruments[$code]->name ?? $this->knowledge->checks[$code]->name ?? $code;
            $position = (($this->knowledge->families[$job->machine->family]->positions ?? [])[$any->position ?? ''] ?? null)?->name;
            $lines[] = [
                'name' => $name.($position === null ? '' : ", {$position}"),
                'before' => self::figure($before),
                'after' => self::figure($after),
            ];
        }

        return $lines;
    }

    /** @return list<array{name: string, value: string, limits: string, waived: string|null}> */
    private function proofs(JobState $state): array
    {
        $standing = $this->owed->standing($state);

        return array_values(array_filter(array_map(static function (Owed $owed) use ($standing): ?array {
            $result = $standing[$owed->proof->code] ?? null;

            return $result === null || ! $result->passed ? null : [
                'name' => $owed->proof->name,
                'value' => self::measured($result),
                'limits' => $owed->limits(),
                'waived' => $result->waived_because,
            ];
        }, $this->owed->plan($state)->owed)));
    }

    private static function measured(ProofResult $result): string
    {
        return $result->value === null ? '' : trim(round($result->value, 2)." {$result->unit}");
    }

    private static function figure(?Reading $reading): string
    {
        return $reading?->value === null ? '' : trim(self::short($reading->value)." {$reading->unit}");
    }

    /** Three figures that count. */
    private static function short(float $value): string
    {
        return (string) round($value, $value == 0.0 ? 0 : max(0, 2 - (int) floor(log10(abs($value)))));
    }

    private static function day(Carbon $at): string
    {
        return $at->copy()->setTimezone(Setting::text('zone'))->toDateString();
    }
}
