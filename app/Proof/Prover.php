<?php

declare(strict_types=1);

namespace App\Proof;

use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Run\Packed;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\Run;
use OddBench\Proof\Run\Sample;

/** One run between its row and its socket. Its machine is held by an advisory lock, so that two processes never race. */
final class Prover
{
    private const CONNECT_S = 8.0;

    private Run $run;

    /** @var resource|null */
    private $socket = null;

    private bool $connecting = true;

    private string $unsent = '';

    private float $zero;

    private float $began;

    private readonly float $speed;

    private float $savedAt = -INF;

    private float $packedTo = 0.0;

    /** @var array<string, array{passed: bool, words: string, value: float|null, rise: float|null, finding: string|null, danger: bool}> of before a restart */
    private array $earlier;

    public function __construct(private readonly ProofRun $row, Plan $plan, private readonly CountRun $count)
    {
        $this->earlier = $row->results;
        $this->began = microtime(true);
        // time runs on from what was measured before a restart
        $this->speed = max(1.0, (float) config('odd-bench.prover_speed'));
        $this->run = new Run($plan, max(1.0, $this->speed / 4));
        $this->zero = microtime(true) - 60 * (1 + (int) (DB::table('proof_samples')->where('proof_run_id', $row->id)->max('minute') ?? -1)) / $this->speed;
        $machine = $row->job->machine;
        $socket = @stream_socket_client("tcp://{$machine->printer_host}:{$machine->printer_port}", $code, $message, self::CONNECT_S, STREAM_CLIENT_CONNECT | STREAM_CLIENT_ASYNC_CONNECT);
        if ($socket === false) {
            $this->run->lost($this->now(), "No connection to {$machine->printer_host}:{$machine->printer_port}: {$message}");

            return;
        }
        stream_set_blocking($socket, false);
        $this->socket = $socket;
    }

    public static function of(ProofRun $row, Knowledge $knowledge, CountRun $count, KeepRises $rises): self
    {
        $done = array_keys(array_filter($row->results, static fn (array $r): bool => $r['passed']));
        // after a restart of this process the stage that was cut off begins again
        $left = array_values(array_diff($row->stages, $done));

        return new self($row, StageProofs::plan($left, $knowledge->families[$row->job->machine->family] ?? null, $rises->bed($row->job->machine), $row->stage !== null), $count);
    }

    public function id(): int
    {
        return $this->row->id;
    }

    /** @return resource|null what it listens to */
    public function socket()
    {
        return $this->socket;
    }

    /** One round; false when the run has ended and everything is written down. */
    public function turn(): bool
    {
        $now = $this->now();
        $this->talk($now);
        if (microtime(true) - $this->savedAt >= 0.7 || ! $this->run->runs()) {
            $this->obey($now);
            $this->save();
        }
        if ($this->run->runs()) {
            return true;
        }
        $this->flush();

        return false;
    }

    private function talk(float $now): void
    {
        if ($this->socket === null) {
            return;
        }
        $read = $this->connecting ? [] : [$this->socket];
        $write = $this->connecting || $this->unsent !== '' ? [$this->socket] : [];
        $except = null;
        if (($read !== [] || $write !== []) && @stream_select($read, $write, $except, 0, 0) === false) {
            return;
        }
        if ($this->connecting) {
            $this->connect($now, $write !== []);

            return;
        }
        if ($read !== []) {
            $bytes = @fread($this->socket, 65_536);
            if ($bytes === false || ($bytes === '' && feof($this->socket))) {
                $this->run->lost($now, 'The printer closed the connection.');
                $this->socket = null;

                return;
            }
            $this->run->bytes($now, $bytes);
        }
        $this->run->tick($now);
        $this->unsent .= $this->run->take();
        $this->write();
    }

    private function connect(float $now, bool $ready): void
    {
        if ($ready && $this->socket !== null && stream_socket_get_name($this->socket, true) !== false) {
            $this->connecting = false;
            $this->run->connected($now);
        } elseif ($ready || microtime(true) - $this->began > self::CONNECT_S) {
            $this->run->lost($now, 'The printer cannot be reached: connection refused. Is it switched on, and is the address right?');
            $this->socket = null;
        }
    }

    private function write(): void
    {
        if ($this->socket !== null && $this->unsent !== '') {
            $sent = @fwrite($this->socket, $this->unsent);
            $this->unsent = $sent === false ? $this->unsent : substr($this->unsent, $sent);
        }
    }

    /** What the page asked for meanwhile. */
    private function obey(float $now): void
    {
        $asked = DB::table('proof_runs')->where('id', $this->row->id)->first(['answer', 'stop_asked']);
        if ($asked === null) {
            return;
        }
        if ((bool) $asked->stop_asked) {
            $this->run->stop($now);
        } elseif (is_string($asked->answer)) {
            $this->run->answer($now, $asked->answer);
            DB::table('proof_runs')->where('id', $this->row->id)->update(['answer' => null]);
        }
        $this->unsent .= $this->run->take();
        $this->write();
    }

    private function save(): void
    {
        $this->savedAt = microtime(true);
        $asking = $this->run->state === 'asking' ? $this->run->want : null;
        $results = array_merge($this->earlier, $this->run->results);
        $ended = ! $this->run->runs();
        $fresh = array_diff_key($results, array_filter($this->row->results, static fn (array $r): bool => $r['passed']));
        $this->row->update(['state' => $this->run->state, 'stage' => $this->run->stage, 'stage_since' => $this->run->stage === $this->row->stage ? $this->row->stage_since : now(), 'question' => $asking?->text, 'choices' => $asking?->choices, 'results' => (object) $results, 'said' => mb_substr($this->run->said, 0, 500), 'seen_at' => now(), 'ended_at' => $ended ? now() : null]);
        $this->pack();
        if ($fresh !== []) {
            $this->count->of($this->row);
        }
    }

    private function pack(): void
    {
        $from = 60 * floor($this->packedTo / 60);
        $byMinute = [];
        foreach ($this->run->log->since($from) as $sample) {
            $byMinute[(int) floor($sample->t / 60)][] = $sample;
        }
        foreach ($byMinute as $minute => $samples) {
            DB::statement('INSERT INTO proof_samples (proof_run_id, minute, samples) VALUES (?, ?, decode(?, \'hex\')) ON CONFLICT (proof_run_id, minute) DO UPDATE SET samples = excluded.samples', [$this->row->id, $minute, bin2hex(Packed::pack($samples))]);
        }
        $last = $this->run->log->last();
        $this->packedTo = $last instanceof Sample ? $last->t : $this->packedTo;
    }

    /** What is still to be said (heaters off) goes out before the socket is closed. */
    private function flush(): void
    {
        $this->unsent .= $this->run->take();
        for ($i = 0; $i < 20 && $this->socket !== null && $this->unsent !== ''; $i++) {
            $this->write();
            usleep(20_000);
        }
        if ($this->socket !== null) {
            @fclose($this->socket);
        }
    }

    private function now(): float
    {
        return (microtime(true) - $this->zero) * $this->speed;
    }
}
