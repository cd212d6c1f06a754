<?php

declare(strict_types=1);

namespace App\Proof\Runner;

use App\Proof\Run\CountRun;
use App\Proof\Run\HeatState;
use App\Proof\Run\KeepRises;
use App\Proof\Run\ProofRun;
use App\Proof\Run\TagStuckHeater;
use App\Proof\StageProofs;
use App\Safety\RedTag;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Run\Packed;
use OddBench\Proof\Run\Sample;
use Throwable;

/**
 * Carries between the database and the files of the runs: what is to be run, what the page wants, how it stands, what was shown.
 * When the database is away it waits; what was shown meanwhile stands in the files.
 */
final class Clerk
{
    /** @var array<int, string> run => stamp of what was carried last */
    private array $carried = [];

    /** @var array<int, int> run => how far its samples are written down, bytes */
    private array $read = [];

    /** @var array<int, array<int, list<Sample>>> run => minute => its samples, of the last minute */
    private array $open = [];

    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly RunFiles $files,
        private readonly CountRun $count,
        private readonly KeepRises $rises,
        private readonly TagStuckHeater $tag,
    ) {
    }

    /**
     * One round; throws when the database is away.
     *
     * @return bool whether there is anything to carry
     */
    public function turn(): bool
    {
        $known = $this->files->runs('order');
        if ($known === [] && ! $this->anyWanted()) {
            $this->files->beat();

            return false;
        }
        $runs = ProofRun::query()->with(['job.machine', 'person'])
            ->where(static fn ($q) => $q->whereNull('ended_at')->orWhereIn('heat', HeatState::MAY_BE_ON)->orWhereIn('id', $known))
            ->orderBy('id')
            ->get();
        $this->files->beat();
        $tagged = RedTag::query()->whereNull('off_at')->whereIn('machine_id', $runs->pluck('machine_id'))->pluck('machine_id')->all();
        $wrong = null;
        foreach ($runs as $run) {
            try {
                $this->carry($run, in_array($run->machine_id, $tagged, true));
            } catch (Throwable $e) {
                // one that cannot be written down keeps no other from being
                $wrong ??= $e;
            }
        }
        foreach (array_diff($known, $runs->pluck('id')->all()) as $gone) {
            $this->forgetUnlessHot($gone);
        }
        if ($wrong !== null) {
            throw $wrong;
        }

        return true;
    }

    /** Asked twice a second, nearly always for nothing: as short as a question can be. */
    private function anyWanted(): bool
    {
        $asked = DB::connection()->getPdo()->query(
            "SELECT 1 FROM proof_runs WHERE ended_at IS NULL OR heat IN ('".implode("','", HeatState::MAY_BE_ON)."') LIMIT 1",
        );

        return $asked !== false && $asked->fetchColumn() !== false;
    }

    private function carry(ProofRun $run, bool $tagged): void
    {
        $this->order($run);
        if ($run->ended_at === null && $tagged) {
            $this->files->write($run->id, 'stop', ['why' => 'The machine wears a red tag.']);
        } elseif ($run->ended_at === null && $run->stop_asked) {
            $this->files->write($run->id, 'stop', []);
        }
        if ($run->unplugged_by !== null && HeatState::mayBeOn($run->heat)) {
            $this->files->write($run->id, 'unplugged', []);
        }
        $this->takeDown($run);
        if ($run->ended_at !== null && $this->files->stamp($run->id, 'done') !== null) {
            $this->forget($run->id);
        }
    }

    private function order(ProofRun $run): void
    {
        if ($run->ended_at !== null || $this->files->stamp($run->id, 'order') !== null) {
            return;
        }
        $address = (string) $run->address;
        $at = (int) strrpos($address, ':');
        $machine = $run->job->machine;
        $family = $this->knowledge->families[$machine->family] ?? null;
        if ($family === null || $family->isUnknown()) {
            // how far it may be driven is not known: nothing moves it
            return;
        }
        $this->files->write($run->id, 'order', [
            'run' => $run->id,
            'job' => $run->job_id,
            'tag' => $machine->tag,
            'host' => substr($address, 0, $at),
            'port' => (int) substr($address, $at + 1),
            'results' => (object) $run->results,
            'plan' => StageProofs::plan($run->stages, $family, $this->rises->bed($machine))->toArray(),
        ]);
    }

    /** What the runner has written down since. */
    private function takeDown(ProofRun $run): void
    {
        $stamp = $this->files->stamp($run->id, 'said');
        if ($stamp === null || $stamp === ($this->carried[$run->id] ?? null)) {
            return;
        }
        $said = $this->files->read($run->id, 'said');
        if ($said === null) {
            return;
        }
        $this->samples($run->id);
        $results = is_array($said['results'] ?? null) ? $said['results'] : [];
        $passed = static fn (array $results): int => count(array_filter(
            $results,
            static fn (mixed $r): bool => is_array($r) && ($r['passed'] ?? false) === true,
        ));
        $fresh = $passed($results) > $passed($run->results);
        $now = now();
        $run->update([
            'state' => $said['state'],
            'stage' => $said['stage'],
            'stage_since' => $said['stage'] === $run->stage ? $run->stage_since : $now,
            'question' => $said['question'] ?? null,
            'choices' => $said['choices'] ?? null,
            'results' => (object) $results,
            'said' => $said['said'] ?? null,
            'seen_at' => $now,
            'ended_at' => ($said['ended'] ?? false) === true ? ($run->ended_at ?? $now) : null,
            'heat' => $said['heat'],
            'hotend_c' => $said['hotend_c'] ?? null,
            'bed_c' => $said['bed_c'] ?? null,
            'measured_at' => is_numeric($said['age_s'] ?? null)
                ? $now->copy()->subMilliseconds((int) (1000 * min(1e6, (float) $said['age_s'])))
                : null,
        ]);
        if ($fresh) {
            $this->count->of($run);
        }
        if (is_string($said['plug'] ?? null) && is_string($said['plug_finding'] ?? null)) {
            $this->tag->of($run, $said['plug'], $said['plug_finding']);
        }
        $this->carried[$run->id] = $stamp;
    }

    private function samples(int $run): void
    {
        $text = (string) @file_get_contents($this->files->path($run, 'samples'), offset: $this->read[$run] ?? 0);
        $text = substr($text, 0, (int) strrpos("\n{$text}", "\n"));
        $minutes = $this->open[$run] ?? [];
        foreach (explode("\n", $text) as $line) {
            $v = explode(',', $line);
            if (count($v) === 7) {
                $power = static fn (string $share): ?float => $share === '' ? null : (float) $share;
                $minutes[(int) floor((float) $v[0] / 60)][] = new Sample(
                    (float) $v[0],
                    (float) $v[1],
                    (float) $v[2],
                    (float) $v[3],
                    (float) $v[4],
                    $power($v[5]),
                    $power($v[6]),
                );
            }
        }
        foreach ($minutes as $minute => $samples) {
            DB::statement(
                'INSERT INTO proof_samples (proof_run_id, minute, samples) VALUES (?, ?, decode(?, \'hex\')) ON CONFLICT (proof_run_id, minute) DO UPDATE SET samples = excluded.samples',
                [$run, $minute, bin2hex(Packed::pack($samples))],
            );
        }
        $this->read[$run] = ($this->read[$run] ?? 0) + strlen($text);
        $this->open[$run] = $minutes === [] ? [] : [max(array_keys($minutes)) => $minutes[max(array_keys($minutes))]];
    }

    /** The database does not know it (any more): nothing of it is left but what may be hot. */
    private function forgetUnlessHot(int $run): void
    {
        $said = $this->files->read($run, 'said');
        if (HeatState::mayBeOn($said['heat'] ?? null)
            || ($said !== null && $this->files->stamp($run, 'done') === null)) {
            $this->files->write($run, 'stop', ['why' => 'This run is not in the database any more.']);
        } else {
            $this->forget($run);
        }
    }

    private function forget(int $run): void
    {
        foreach (['order', 'said', 'samples', 'stop', 'answer', 'unplugged', 'done'] as $kind) {
            $this->files->forget($run, $kind);
        }
        unset($this->carried[$run], $this->read[$run], $this->open[$run]);
    }
}
