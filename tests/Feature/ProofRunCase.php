<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Proof\Run\ProofRun;
use App\Proof\Runner\Clerk;
use App\Proof\Runner\Prover;
use App\Proof\Runner\RunFiles;
use OddBench\Rig\Fault;
use OddBench\Rig\GoesOn;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use OddBench\Rig\Server;

/** A job at Prove, a simulated printer on a real socket, and the runner between them. */
abstract class ProofRunCase extends BenchTestCase
{
    protected const SPEED = 100.0;

    protected Job $job;

    protected ?Server $server = null;

    protected ?Printer $printer = null;

    protected RunFiles $files;

    /** The runner; whoever wants it killed takes another. */
    protected ?Prover $prover = null;

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("{$this->files->folder}/*") ?: []);
        rmdir($this->files->folder);
        parent::tearDown();
    }

    protected function setUp(): void
    {
        parent::setUp();
        config(['odd-bench.prover_speed' => self::SPEED]);
        $this->files = new RunFiles(sys_get_temp_dir().'/odd-bench-runs-'.bin2hex(random_bytes(6)));
        $this->app->instance(RunFiles::class, $this->files);
        $this->actingAs($this->person());
        $this->job = $this->job();
        $this->atProve($this->job);
    }

    protected function closedPort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($socket);
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    protected function cold(): void
    {
        foreach (['leads-tug'] as $proof) {
            $this->send('POST', "/jobs/{$this->job->id}/proofs", ['proof' => $proof, 'passed' => true])->assertOk();
        }
    }

    /** @param  list<Fault>  $faults */
    protected function begin(array $faults, ?GoesOn $goesOn = null): ProofRun
    {
        $this->cold();
        $this->printer = new Printer(Numbers::of('Tern 220', []), $faults, 4, $goesOn);
        $this->server = new Server($this->printer, '127.0.0.1', 0, self::SPEED);
        $this->start($this->server->port())->assertOk();

        return ProofRun::query()->latest('id')->firstOrFail();
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response> */
    protected function start(int $port, string $host = '127.0.0.1'): \Illuminate\Testing\TestResponse
    {
        return $this->send('POST', "/jobs/{$this->job->id}/proof-run", ['host' => $host, 'port' => $port, 'leaveOut' => ['long']]);
    }

    /** Turns runner and printer by turns, and answers what is asked; until something, and then does something. */
    protected function watch(
        ProofRun $run,
        ?callable $until = null,
        bool $stopThen = false,
        bool $dropThen = false,
        bool $leaveThen = false,
    ): void {
        $clerk = $this->app->make(Clerk::class);
        $prover = $this->prover ??= $this->app->make(Prover::class);
        $asked = $answered = 0.0;
        $question = null;
        for ($end = microtime(true) + 60; microtime(true) < $end;) {
            $this->server?->serve();
            $prover->turn();
            if (microtime(true) - $asked < 0.2) {
                continue;
            }
            $asked = microtime(true);
            $clerk->turn();
            $row = $run->refresh();
            if ($row->ended_at !== null) {
                return;
            }
            if ($row->state === 'asking'
                && $row->question !== null
                && ($row->question !== $question || microtime(true) - $answered > 1.0)) {
                $question = $row->question;
                $answered = microtime(true);
                $this->send(
                    'POST',
                    "/jobs/{$this->job->id}/proof-run/{$run->id}/answer",
                    ['answer' => $this->says($row->question)],
                )->assertOk();
            }
            if ($until !== null && $until()) {
                if ($leaveThen) {
                    return;
                }
                $until = null;
                if ($dropThen) {
                    $this->server = null;
                }
                if ($stopThen) {
                    $this->send('POST', "/jobs/{$this->job->id}/proof-run/{$run->id}/stop")->assertOk();
                }
            }
        }
        self::fail("The run did not end: {$run->refresh()->state} {$run->stage} {$run->said}");
    }

    protected function serveFor(float $seconds): void
    {
        for ($end = microtime(true) + $seconds; microtime(true) < $end;) {
            $this->server?->serve();
        }
    }

    protected function says(string $question): string
    {
        if (str_contains($question, 'air on')) {
            $this->printer?->coolAir(true);

            return 'it is on';
        }
        if (str_contains($question, 'air away')) {
            $this->printer?->coolAir(false);

            return 'it is away';
        }

        return match (true) {
            str_contains($question, 'smoke') => 'none',
            str_contains($question, 'fan turn') => 'all turn',
            str_contains($question, 'strand') => 'straight',
            default => 'good',
        };
    }
}
