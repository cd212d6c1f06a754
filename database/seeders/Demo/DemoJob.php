<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Diagnosis\Faults\ConfirmFaults;
use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Findings\RecordFinding;
use App\Diagnosis\Ranking\DiagnosisQuery;
use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\EditJob;
use App\Intake\Hands;
use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\MoveJob;
use App\Machines\Machine;
use App\Proof\OwedQuery;
use App\Proof\RecordProof;
use App\Release\SendOut;
use App\Release\Terms;
use App\Repair\NoteMend;
use App\Repair\WorkOnJob;
use App\Safety\AnswerSafety;
use App\Safety\RedTag;
use App\Safety\TakeOffRedTag;
use App\Shop\Person;
use App\Stock\Parts\Part;
use App\Stock\Shelf\MoveStock;
use App\Stock\Shelf\UsePart;
use Generator;
use Illuminate\Support\Str;
use OddBench\Diagnosis\Step;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Owed;
use OddBench\Release\Destination;
use Random\Randomizer;

/** Plays one visit through the same actions the page uses. */
final class DemoJob
{
    private const MOST_LOOKS = 6;

    private const SURE = 0.8;

    private Job $job;

    /** @var array<string, Person> */
    private array $people;

    /** @var list<string> true faults that are mended */
    private array $mended = [];

    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly Randomizer $random,
        private readonly BookIn $bookIn,
        private readonly AnswerSafety $answerSafety,
        private readonly TakeOffRedTag $takeOff,
        private readonly RecordFinding $record,
        private readonly DiagnosisQuery $diagnosis,
        private readonly ConfirmFaults $confirm,
        private readonly NoteMend $note,
        private readonly UsePart $use,
        private readonly MoveStock $stock,
        private readonly OwedQuery $owed,
        private readonly RecordProof $prove,
        private readonly SendOut $send,
        private readonly MoveJob $move,
        private readonly EditJob $edit,
        private readonly Hands $hands,
        private readonly DemoFix $tray,
        private readonly DemoMoney $money,
    ) {
    }

    /**
     * @param  array<string, Person>  $people
     * @param  Job|null  $booked  it is booked in already
     * @return Generator<int, Beat>
     */
    public function play(DemoPlot $plot, Machine $machine, DemoTruth $truth, array $people, ?Job $booked = null): Generator
    {
        $this->people = $people;
        $who = $plot->technician;
        yield new Beat('sam', 4);
        $this->job = $booked?->refresh() ?? $this->bookIn->book(
            $machine,
            new Booking($plot->kind, $this->complaint($plot, $truth), $this->began($truth), $plot->hours, promisedFor: $plot->promisedFor),
            $people['sam'],
        );
        if ($plot->stopAt === 'booked') {
            return;
        }
        yield new Beat($who, 2, $plot->delay);
        $this->answerSafety($truth, $who);
        $this->to(Station::Diagnosis, $who);
        if ($plot->kind !== JobKind::Repair) {
            yield new Beat($who, 4);
            $this->job = $this->confirm->pass(
                $this->job,
                $plot->kind === JobKind::Refurbish ? 'Bought for resale; cleaned and gone over.' : 'Nothing broken: due by hours.',
                $this->job->version,
                $people[$who],
            );
            yield new Beat($who, $this->random->getInt(18, 40));
            $this->job = $this->note->note(
                $this->job,
                null,
                null,
                'Cleaned, greased, belts and wheels set, fans blown out.',
                ['motion', 'fans'],
                $people[$who],
            );
            $this->tray->goneOver($this->job->refresh(), true, $people[$who]);
        } else {
            yield from $this->find($plot, $truth, $who);
            if ($plot->stopAt === 'find') {
                return;
            }
            if ($plot->afterConfirm !== null) {
                yield new Beat($who, 2, 60 * 3);
                $this->job = ($plot->afterConfirm)($this->job->refresh());
            }
            $this->to(Station::Repair, $who);
            yield from $this->fix($plot, $truth, $who);
            if (str_starts_with((string) $plot->stopAt, 'fix')) {
                return;
            }
            $this->tray->goneOver($this->job->refresh(), false, $people[$who]);
        }
        yield from $this->takeTagOff($who);
        $this->to(Station::Proof, $who);
        yield from $this->proofs($plot, $truth, $who);
        if ($plot->stopAt === 'proof') {
            return;
        }
        $this->to(Station::Release, $who);
        if ($plot->stopAt === 'to-go') {
            $this->hands->off($this->job);

            return;
        }
        yield new Beat('sam', 2, $this->random->getInt(20, 1600));
        $this->job = $this->send->send(
            $this->job,
            Destination::forMachineHeldAs($machine->refresh()->held_as)[0],
            new Terms(priceMinor: $this->price($plot, $machine), warrantyDays: 90, warrantyHours: 500),
            $this->job->version,
            $people['sam'],
        );
        $this->money->billed($this->job->refresh()->load('machine'), $people['sam']);
    }

    /** What is bought is asked what was paid and two thirds of it, and sixty for the work. */
    private function price(DemoPlot $plot, Machine $machine): ?int
    {
        return $plot->sellsAt ?? ($machine->price_paid_minor === null ? null : (int) round($machine->price_paid_minor * 5 / 3 + 6000, -2));
    }

    private function answerSafety(DemoTruth $truth, string $who): void
    {
        $answers = [];
        foreach ($this->knowledge->safetyQuestions as $question) {
            $told = $question->finding !== 'volts-on-frame'
                && $question->finding !== 'no-earth-path'
                && $question->finding !== 'no-runaway-trip';
            $answers[$question->code] = $told && $truth->shows[$question->finding];
        }
        $this->job = $this->answerSafety->answer($this->job, $answers, $this->people[$who]);
    }

    /** @return Generator<int, Beat> */
    private function find(DemoPlot $plot, DemoTruth $truth, string $who): Generator
    {
        yield new Beat($who, 3);
        $told = array_slice($this->told($truth), 0, 3);
        if ($told !== []) {
            $this->job = $this->record->record($this->job, array_fill_keys($told, true), [], null, $this->people[$who]);
        }
        for ($look = 0; $look < ($plot->stopAt === 'find' ? 1 : self::MOST_LOOKS); $look++) {
            $judged = $this->diagnosis->of(JobState::of($this->job->refresh()))->diagnosis();
            $next = $judged->next[0] ?? null;
            if ($judged->suspects[0]->probability > self::SURE && $judged->suspects[0]->explains !== []) {
                break;
            }
            if ($next?->kind !== 'check' && $next?->kind !== 'sweep') {
                break;
            }
            yield new Beat($who, (int) ceil($next->minutes));
            $looks = array_map(static fn (Step $look): string => $look->code, $next->looks === [] ? [$next] : $next->looks);
            $yields = array_merge(...array_map(fn (string $look): array => $this->knowledge->checks[$look]->yields, $looks));
            $known = $this->found()->findings()->pluck('code')->all();
            $seen = array_intersect_key($truth->shows, array_flip(array_diff($yields, $known)));
            if ($seen !== []) {
                $this->job = $this->record->record($this->job, $seen, $looks, null, $this->people[$who]);
            }
        }
        if ($plot->stopAt === 'find') {
            return;
        }
        if ($plot->stopAt !== null) {
            // what stands on the bench today was found out
            $this->job = $this->confirm->confirm($this->job->refresh(), $truth->faults, $this->job->version, $this->people[$who]);

            return;
        }
        if ($plot->beforeConfirm !== null) {
            $this->job = ($plot->beforeConfirm)($this->job->refresh());
        }
        $this->confirmLikeliest($who);
    }

    private function confirmLikeliest(string $who): void
    {
        $faults = [];
        foreach ($this->diagnosis->of(JobState::of($this->job->refresh()))->diagnosis()->suspects as $suspect) {
            if ($suspect->explains !== [] && ($faults === [] || $suspect->probability > 0.6) && count($faults) < 2) {
                $faults[] = $suspect->code;
            }
        }
        if ($faults === []) {
            $faults = ['wrong-settings'];
        }
        $this->job = $this->confirm->confirm($this->job, $faults, $this->job->version, $this->people[$who]);
    }

    /** @return Generator<int, Beat> */
    private function fix(DemoPlot $plot, DemoTruth $truth, string $who): Generator
    {
        $mended = WorkOnJob::now($this->job)->mended();
        foreach ($this->found()->confirmed() as $confirmed) {
            $fault = $this->knowledge->faults[$confirmed->fault];
            if (in_array($fault->code, $mended, true)) {
                continue;
            }
            if ($plot->stopAt === 'fix-waiting') {
                $this->job = $this->edit->wait(
                    $this->job,
                    $plot->waitsFor,
                    $plot->waitsNote,
                    $plot->waitsFor === 'itself' ? 240 : null,
                    $this->job->version,
                    $this->people[$who],
                    $plot->waitsFor === 'itself' ? true : null,
                );

                return;
            }
            if (str_starts_with((string) $plot->stopAt, 'fix')) {
                return;
            }
            yield from $this->parts($fault->mend()->parts, $who);
            yield new Beat($who, (int) round($fault->mend()->minutes * $this->random->getInt(80, 140) / 100));
            if ($fault->code === 'rail-scored') {
                $this->tray->turnRail($this->job, $this->people[$who]);
            }
            if (! $this->tray->byGuide($this->job->refresh(), $fault->code, $this->people[$who])) {
                $this->job = $this->note->note($this->job->refresh(), $fault->code, null, $fault->mend()->do, [], $this->people[$who]);
            }
            if (in_array($fault->code, $truth->faults, true)) {
                $this->mended[] = $fault->code;
            }
        }
    }

    /**
     * @param  list<string>  $classes
     * @return Generator<int, Beat>
     */
    private function parts(array $classes, string $who): Generator
    {
        foreach ($classes as $class) {
            $part = $this->fitting($class);
            if ($part->on_hand === 0) {
                $this->job = $this->edit->wait(
                    $this->job,
                    'part',
                    "{$part->name}, ordered",
                    null,
                    $this->job->version,
                    $this->people[$who],
                );
                yield new Beat('sam', 3, 60 * 24 * $this->random->getInt(2, 6));
                $this->stock->receive($part, 3, DemoShop::costOf($part->number), 'ordered for a job', $this->people['sam']);
                $this->job = $this->edit->wait($this->job, null, null, null, $this->job->version, $this->people[$who]);
            }
            yield new Beat($who, 1);
            $this->job = $this->use->use($this->job->refresh(), $part, 1, $this->position($class), $this->people[$who]);
        }
    }

    /** A part of the class that is made for this family, or else one made for none in particular. */
    private function fitting(string $class): Part
    {
        $birds = array_map(static fn (Family $family): string => explode(' ', $family->name)[0], $this->knowledge->families);
        $parts = Part::query()->where('class', $class)->orderByDesc('on_hand')->orderBy('id')->get();
        $own = $birds[$this->job->machine->family];

        return $parts->first(static fn (Part $part): bool => str_contains($part->name, $own))
            ?? $parts->first(static fn (Part $part): bool => ! Str::contains($part->name, $birds))
            ?? $parts->firstOrFail();
    }

    private function position(string $class): ?string
    {
        foreach ($this->knowledge->families[$this->job->machine->family]->positions as $position) {
            if ($position->partClass === $class) {
                return $position->code;
            }
        }

        return null;
    }

    private function found(): FoundInJob
    {
        return FoundInJob::of(JobState::of($this->job));
    }

    /** @return Generator<int, Beat> */
    private function takeTagOff(string $who): Generator
    {
        if (RedTag::wornBy($this->job->machine_id) === null) {
            return;
        }
        yield new Beat($who, 5);
        $this->job = $this->takeOff->ask(
            $this->job,
            'Cause found and mended, both halves renewed',
            '0.1 Ω across the new joint, 40 MΩ to the frame',
            $this->people[$who],
        );
        yield new Beat('ada', 3, 30);
        $this->job = $this->takeOff->countersign($this->job, $this->people['ada']);
    }

    /** @return Generator<int, Beat> */
    private function proofs(DemoPlot $plot, DemoTruth $truth, string $who): Generator
    {
        for ($tries = 0; $tries < 60; $tries++) {
            $state = JobState::of($this->job->refresh());
            $missing = $this->owed->plan($state)->missing($this->owed->passed($state));
            if ($missing === []) {
                return;
            }
            if ($plot->stopAt === 'proof' && count($missing) <= 3) {
                if ($plot->waitsFor === 'itself') {
                    $this->job = $this->edit->wait(
                        $this->job,
                        'itself',
                        "{$missing[0]->proof->name}, running",
                        220,
                        $this->job->version,
                        $this->people[$who],
                        $missing[0]->proof->stage->isHot(),
                    );
                }

                return;
            }
            $owed = $missing[0];
            yield new Beat(
                $who,
                (int) $this->knowledge->bench->minutesToProve($owed->proof->stage),
                $owed->proof->stage->value === 'long' ? 180 : 0,
            );
            $stillWrong = array_diff(
                $truth->faults,
                $this->mended,
            ) !== [] && $plot->kind === JobKind::Repair && $owed->proof->code === 'small-print' && $tries < 40;
            $this->job = $this->prove->record(
                $this->job,
                $owed->proof->code,
                $this->value($owed, $stillWrong),
                ! $stillWrong,
                $this->people[$who],
            );
            if ($stillWrong) {
                yield from $this->again($plot, $truth, $who);
            }
        }
    }

    /** The first diagnosis was wrong or not all of it: what is really there is found, and the wrong one is taken back. */
    private function again(DemoPlot $plot, DemoTruth $truth, string $who): Generator
    {
        $left = array_values(array_diff($truth->faults, $this->mended));
        yield new Beat($who, 6);
        $telling = $this->telling($left[0]);
        foreach ($this->found()->findings()->where('code', $telling)->where('present', false) as $wrong) {
            $this->job = app(\App\Diagnosis\Findings\WithdrawFinding::class)->withdraw($this->job, $wrong, $this->people[$who]);
        }
        if ($this->found()->findings()->where('code', $telling)->isEmpty()) {
            $this->job = $this->record->record($this->job, [$telling => true], [], null, $this->people[$who]);
        }
        foreach ($this->found()->faults() as $code) {
            if (! in_array($code, $truth->faults, true)) {
                $this->job = $this->confirm->supersede($this->job, $code, $telling, $this->job->version, $this->people[$who]);
            }
        }
        yield new Beat($who, 2);
        $this->job = $this->confirm->confirm(
            $this->job,
            array_values(array_diff($left, $this->found()->faults())),
            $this->job->version,
            $this->people[$who],
        );
        yield from $this->fix($plot, $truth, $who);
        $this->mended = $truth->faults;
        $this->to(Station::Proof, $who);
    }

    /** The finding that shows a fault best: no circumstance, no sign of danger. */
    private function telling(string $fault): string
    {
        $best = '';
        $most = 0.0;
        foreach ($this->knowledge->faults[$fault]->shows as $code => $strength) {
            $finding = $this->knowledge->findings[$code];
            if (! $finding->redTag && ! $finding->circumstance && $strength > $most) {
                [$best, $most] = [$code, $strength];
            }
        }

        return $best;
    }

    private function value(Owed $owed, bool $wrong): ?float
    {
        if ($owed->proof->unit === null || $wrong) {
            return null;
        }
        $least = $owed->proof->least ?? 0.0;
        $most = $owed->proof->most ?? $least * 40;
        $share = $this->random->getInt(25, 75) / 100;

        return round($least + ($most - $least) * $share, $most <= 1 ? 3 : 1);
    }

    private function to(Station $station, string $who): void
    {
        if ($this->job->station !== $station) {
            $this->job = $this->move->move($this->job->refresh(), $station, null, $this->job->version, $this->people[$who]);
        }
    }

    /** @return list<string> what an owner would notice */
    private function told(DemoTruth $truth): array
    {
        $told = [];
        foreach ($truth->shows as $code => $present) {
            if ($present && isset(DemoCast::WORDS[$code]) && ! $this->knowledge->findings[$code]->redTag) {
                $told[] = $code;
            }
        }

        return $told;
    }

    /** @return list<string> signs of danger an owner would notice */
    private function dangers(DemoTruth $truth): array
    {
        return array_values(array_filter(
            array_keys($truth->shows, true, true),
            fn (string $code): bool => isset(DemoCast::WORDS[$code]) && $this->knowledge->findings[$code]->redTag,
        ));
    }

    private function complaint(DemoPlot $plot, DemoTruth $truth): string
    {
        if ($plot->kind !== JobKind::Repair) {
            return match ($plot->kind) {
                JobKind::Service => 'Due for service by hours.',
                JobKind::Inspection => 'Look it over before the season.',
                JobKind::Upgrade => 'Metal drive gears, please.',
                default => 'Bought as “works, just needs cleaning”.',
            };
        }
        $words = array_map(
            static fn (string $code): string => DemoCast::WORDS[$code],
            array_slice([...$this->dangers($truth), ...$this->told($truth)], 0, 2),
        );

        return $words === [] ? 'Something is not right with the prints' : ucfirst(implode(', and ', $words));
    }

    private function began(DemoTruth $truth): Began
    {
        foreach ([Began::CreptIn, Began::Suddenly, Began::WorkedOn, Began::Moved] as $began) {
            if ($truth->shows[$began->value] ?? false) {
                return $began;
            }
        }

        return Began::NotKnown;
    }
}
