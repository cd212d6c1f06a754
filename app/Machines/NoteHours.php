<?php

declare(strict_types=1);

namespace App\Machines;

use App\Shop\Person;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Machines\HourCounter;
use OddBench\Machines\HoursNow;

/** A reading of a machine’s counter; what a machine has run in all is worked out from all of them. */
final readonly class NoteHours
{
    public function __construct(private HoursQuery $hours)
    {
    }

    /**
     * @param  float  $hours  as the counter shows them
     * @param  bool  $beganAnew  it was set back, or another board came in, since the reading before
     *
     * @throws InputError when the counter fell, ran quicker than the clock, or was read tomorrow
     */
    public function note(
        Machine $machine,
        float $hours,
        CounterSource $source,
        ?Person $by,
        ?Carbon $at = null,
        bool $beganAnew = false,
    ): Counter {
        return DB::transaction(function () use ($machine, $hours, $source, $by, $at, $beganAnew): Counter {
            $locked = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $at ??= now();
            if ($at > now()) {
                throw InputError::at('at', 'A counter cannot be read tomorrow. When was it read?');
            }
            $this->refuseWonder($locked, new HourCounter($at->toDateTimeImmutable(), $hours), $beganAnew);
            $counter = Counter::query()->create([
                'machine_id' => $locked->id,
                'at' => $at,
                'hours' => $hours,
                'began_anew' => $beganAnew,
                'source' => $source->value,
                'person_id' => $by?->id,
            ]);
            $this->settle($locked);
            Machine::withoutTimestamps(static fn (): bool => $locked->update(['counter_wonder' => null]));
            $machine->setAttribute('hours', $locked->hours);

            return $counter;
        });
    }

    /**
     * What a printer told by itself. One reading a day stays: the last. What cannot be is not taken, and said.
     *
     * @return bool whether it was believed
     */
    public function told(Machine $machine, float $hours): bool
    {
        try {
            $this->instead($machine, $hours);
        } catch (InputError $e) {
            // no edit of anybody's, so nobody's edit is older for it
            Machine::query()->toBase()->where('id', $machine->id)
                ->update(['counter_wonder' => mb_substr("Its printer says {$hours} h. {$e->getMessage()}", 0, 300)]);

            return false;
        }

        return true;
    }

    /**
     * Noted in place of what the printer told before on the same day.
     *
     * @throws InputError when that cannot be
     */
    private function instead(Machine $machine, float $hours): void
    {
        DB::transaction(function () use ($machine, $hours): void {
            Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $last = Counter::query()->where('machine_id', $machine->id)->whereNull('withdrawn_at')
                ->orderByDesc('at')
                ->orderByDesc('id')
                ->first();
            $ofToday = $last?->source === CounterSource::Printer->value && $last->person_id === null && $last->at->isSameDay(now());
            if ($ofToday && (float) $last->hours <= $hours) {
                $last->delete();
            }
            $this->note($machine, $hours, CounterSource::Printer, null);
        });
    }

    /** A reading was wrong: it stays on record and counts no more. */
    public function withdraw(Counter $counter, Person $by): void
    {
        DB::transaction(function () use ($counter, $by): void {
            $machine = Machine::query()->lockForUpdate()->findOrFail($counter->machine_id);
            Counter::query()->whereKey($counter->id)
                ->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
            $this->settle($machine);
        });
    }

    /** Against the readings next to it; older ones that run wild are no reason to refuse this one. */
    private function refuseWonder(Machine $machine, HourCounter $new, bool $beganAnew): void
    {
        $counters = $this->counters($machine);
        $resets = HoursQuery::resets($counters);
        $plausible = (new HoursNow)->plausible(HoursQuery::read($counters), $resets);
        $before = array_filter($plausible, static fn (HourCounter $c): bool => $c->at <= $new->at);
        $after = array_filter($plausible, static fn (HourCounter $c): bool => $c->at > $new->at);
        try {
            foreach ([$beganAnew ? [] : array_slice($before, -1), array_slice($after, 0, 1)] as $next) {
                $pair = [$new, ...$next];
                (new HoursNow)->judge($pair, max(array_column($pair, 'at')), $resets);
            }
        } catch (InputError $e) {
            throw InputError::at('hours', str_replace(' Say when in resets.', ' Then say that it began anew.', $e->getMessage()));
        }
    }

    private function settle(Machine $machine): void
    {
        $counters = $this->counters($machine);
        $last = $counters->last();
        $this->hours->forget();
        $judged = $last === null ? null : $this->hours->judge($counters, $last->at);
        // hours go on by themselves: that makes nobody’s edit of the machine older
        Machine::withoutTimestamps(static fn (): bool => $machine->update(['hours' => $judged === null ? null : round($judged->hours, 1)]));
    }

    /** @return Collection<int, Counter> in order */
    private function counters(Machine $machine): Collection
    {
        return Counter::query()->where('machine_id', $machine->id)->whereNull('withdrawn_at')->orderBy('at')->orderBy('id')->get();
    }
}
