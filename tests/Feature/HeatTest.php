<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Proof\Run\ProofRun;
use App\Proof\Runner\Clerk;
use App\Proof\Runner\Link;
use App\Proof\Runner\Prover;
use App\Safety\RedTag;
use OddBench\Rig\GoesOn;
use OddBench\Rig\Server;

/** One rule for heat, through a real socket and real files: off first, whatever is lost, and said on every screen until it is off. */
final class HeatTest extends ProofRunCase
{
    public function test_a_runner_whose_database_is_away_switches_off_and_keeps_what_was_shown(): void
    {
        $run = $this->hot();
        $this->lastBeat(ago: 60);
        $this->turnUntil(
            fn (): bool => ($this->files->read($run->id, 'said')['ended'] ?? false) === true
                && $this->files->read($run->id, 'said')['heat'] === 'off',
        );
        $this->isOff();
        self::assertSame('running', $run->refresh()->state, 'the database knows nothing of it yet');

        $this->app->make(Clerk::class)->turn();
        self::assertSame(['stopped', 'off'], [$run->refresh()->state, $run->heat]);
        self::assertStringContainsString('database', (string) $run->said);
        self::assertTrue($run->results['homing']['passed']);
    }

    public function test_a_runner_that_was_killed_switches_off_first_and_then_goes_on(): void
    {
        $run = $this->hot();
        $before = array_keys($run->results);
        // the process is gone, and with it everything but its files
        $this->serveFor(0.2);
        $this->prover = $this->app->make(Prover::class);
        $off = false;
        $this->turnUntil(function () use (&$off): bool {
            $off = $off || $this->target() === 0.0;

            return $off;
        });
        $this->watch($run);
        self::assertSame('passed', $run->refresh()->state, (string) $run->said);
        self::assertSame([], array_diff($before, array_keys($run->results)));
        $this->isSeenToCool($run);
    }

    public function test_a_runner_that_was_away_for_long_switches_off_and_does_not_go_on_by_itself(): void
    {
        $run = $this->hot();
        $said = (array) $this->files->read($run->id, 'said');
        $this->files->write($run->id, 'said', ['at' => microtime(true) - 3600] + $said);
        $this->prover = $this->app->make(Prover::class);
        $this->turnUntil(fn (): bool => ($this->files->read($run->id, 'said')['heat'] ?? '') === 'off');
        $this->isOff();
        $this->app->make(Clerk::class)->turn();
        self::assertSame(['stopped', 'off'], [$run->refresh()->state, $run->heat]);
        self::assertStringContainsString('away for too long', (string) $run->said);
    }

    public function test_a_bridge_that_closes_is_reached_again_and_every_screen_is_told_until_it_is_off(): void
    {
        $run = $this->hot();
        $port = $this->server?->port();
        $this->turnUntil(fn (): bool => $this->heatOf($run)['hot'] ?? false);
        $this->server?->close();
        $this->server = null;
        $this->turnUntil(fn (): bool => ($this->heatOf($run)['alarm'] ?? null) !== null);
        self::assertSame('Heaters may be on: pull the plug.', $this->heatOf($run)['alarm']);
        $this->app->make(Clerk::class)->turn();
        self::assertSame(['lost', 'unconfirmed'], [$run->refresh()->state, $run->heat]);
        $view = $this->getJson("/api/v1/jobs/{$this->job->id}/proof-run")->assertOk();
        self::assertSame('unconfirmed', $view->json('heat'));
        $this->assertRefused($this->start((int) $port), 409, 'port', 'not known to be off');

        self::assertNotNull($this->printer);
        $this->server = new Server($this->printer, '127.0.0.1', (int) $port, self::SPEED);
        $this->turnUntil(fn (): bool => $this->files->read($run->id, 'said')['heat'] === 'off');
        $this->turnUntil(fn (): bool => ($this->heatOf($run)['alarm'] ?? null) === null);
        $this->isOff();
    }

    public function test_somebody_pulls_the_plug_of_one_that_never_answers_again(): void
    {
        $run = $this->hot();
        $clerk = $this->app->make(Clerk::class);
        $this->turnUntil(fn (): bool => $this->heatOf($run)['hot'] ?? false);
        $this->server?->close();
        $this->server = null;
        $this->turnUntil(fn (): bool => ($this->heatOf($run)['alarm'] ?? null) !== null);
        $clerk->turn();
        $this->send('POST', "/jobs/{$this->job->id}/proof-run/{$run->id}/unplugged")->assertOk();
        $this->turnUntil(fn (): bool => ! ($this->prover?->busy() ?? true));
        $clerk->turn();
        self::assertSame('off', $run->refresh()->heat);
        self::assertSame([], $this->files->runs('order'));
        $this->assertRefused($this->send('POST', "/jobs/{$this->job->id}/proof-run/{$run->id}/unplugged"), 409, 'heat', 'off already');
    }

    public function test_a_fault_of_our_own_switches_off_too(): void
    {
        $run = $this->begin([]);
        $this->app->make(Clerk::class)->turn();
        $order = (array) $this->files->read($run->id, 'order');
        $order['plan'] = ['stages' => ['hotend-hold']] + (array) $order['plan'];
        $link = new Link($run->id, $order, null, $this->files, self::SPEED);
        for ($end = microtime(true) + 20; microtime(true) < $end && $this->target() < 100;) {
            $this->server?->serve();
            $link->turn();
            $this->lastBeat(ago: 0);
        }
        // whatever a stage may throw that nobody thought of
        $session = (new \ReflectionProperty($link, 'session'))->getValue($link);
        self::assertInstanceOf(\OddBench\Proof\Run\Session::class, $session);
        (new \ReflectionProperty($session->run, 'work'))->setValue($session->run, (static function (): \Generator {
            yield \OddBench\Proof\Run\Want::time(0.0);
            throw new \DomainException('not thought of');
        })());
        for ($end = microtime(true) + 20; microtime(true) < $end && $link->turn();) {
            $this->server?->serve();
        }
        $said = $this->files->read($run->id, 'said');
        self::assertSame(['lost', 'off'], [$said['state'] ?? null, $said['heat'] ?? null], (string) ($said['said'] ?? ''));
        self::assertStringContainsString('not thought of', (string) ($said['said'] ?? ''));
        $this->isOff();
    }

    public function test_two_names_of_one_printer_are_one(): void
    {
        $this->cold();
        $this->start(8641, 'localhost')->assertOk();
        $other = $this->job($this->machine());
        $this->atProve($other);
        $this->send('POST', "/jobs/{$other->id}/proofs", ['proof' => 'leads-tug', 'passed' => true])->assertOk();
        foreach (['127.0.0.1', '127.0.0.9', '[::1]'] as $host) {
            $this->assertRefused(
                $this->send('POST', "/jobs/{$other->id}/proof-run", ['host' => $host, 'port' => 8641]),
                409,
                'port',
                'speaks with the printer at this address',
            );
        }
        $this->assertRefused(
            $this->send('POST', "/jobs/{$other->id}/proof-run", ['host' => 'no-such-printer.invalid', 'port' => 8641]),
            422,
            'host',
            'on this network',
        );
    }

    public function test_a_red_tag_ends_what_runs_and_keeps_others_off_that_printer(): void
    {
        $run = $this->hot();
        $this->send('POST', "/jobs/{$this->job->id}/red-tag", ['reason' => 'smells of burning'])->assertOk();
        $this->watch($run);
        self::assertSame('stopped', $run->refresh()->state);
        self::assertStringContainsString('red tag', (string) $run->said);
        $this->isOff();
        $this->isSeenToCool($run);

        $other = $this->job($this->machine());
        $this->atProve($other);
        $this->send('POST', "/jobs/{$other->id}/proofs", ['proof' => 'leads-tug', 'passed' => true])->assertOk();
        $this->assertRefused(
            $this->send('POST', "/jobs/{$other->id}/proof-run", ['host' => '127.0.0.1', 'port' => $this->server?->port()]),
            409,
            'redTag',
            'wears a red tag',
        );
    }

    public function test_a_disk_that_takes_nothing_heats_nothing(): void
    {
        $run = $this->begin([]);
        $this->app->make(Clerk::class)->turn();
        $order = (array) $this->files->read($run->id, 'order');
        $order['plan'] = ['stages' => ['hotend-hold']] + (array) $order['plan'];
        $nowhere = new \App\Proof\Runner\RunFiles('/proc/odd-bench-nowhere');
        $link = new Link($run->id, $order, null, $nowhere, self::SPEED);
        for ($end = microtime(true) + 3; microtime(true) < $end;) {
            $this->server?->serve();
            $link->turn();
            self::assertSame(0.0, $this->target());
        }
    }

    public function test_a_heater_that_does_not_cool_is_said_on_every_screen_tagged_and_kept_until_its_plug_is_pulled(): void
    {
        $run = $this->begin([], GoesOn::Stays);
        $this->watch($run, fn (): bool => $run->refresh()->hotend_c > 180, leaveThen: true);
        $port = (int) $this->server?->port();
        $this->send('POST', "/jobs/{$this->job->id}/proof-run/{$run->id}/stop")->assertOk();
        $clerk = $this->app->make(Clerk::class);
        $this->turnUntil(fn (): bool => ($this->files->read($run->id, 'said')['heat'] ?? '') === 'cooling');
        $clerk->turn();
        self::assertSame(['stopped', 'cooling'], [$run->refresh()->state, $run->heat]);
        $this->assertRefused($this->start($port), 409, 'port', 'have not cooled yet');

        $words = 'The hot end is switched off and does not cool: pull the plug.';
        $this->turnUntil(fn (): bool => ($this->heatOf($run)['alarm'] ?? null) === $words);
        $this->turnUntil(fn (): bool => ($this->files->read($run->id, 'said')['heat'] ?? '') === 'unconfirmed');
        $clerk->turn();
        self::assertSame('unconfirmed', $run->refresh()->heat);
        $this->assertRefused($this->start($port), 409, 'redTag', 'wears a red tag');
        $tag = RedTag::wornBy($this->job->machine_id);
        self::assertStringContainsString('does not cool', (string) $tag?->reason);
        $findings = $this->getJson("/api/v1/jobs/{$this->job->id}")->json('findings');
        self::assertContains('heats-unasked', array_column(array_filter((array) $findings, static fn (array $f): bool => $f['present']), 'code'));
        $clerk->turn();
        self::assertSame(1, RedTag::query()->count());

        // who comes after this runner knows it too
        $this->prover?->leave(1.0);
        self::assertTrue($this->heatOf($run)['hot'] ?? false, 'a runner that goes leaves it on the screens');
        $this->prover = $this->app->make(Prover::class);
        $this->turnUntil(fn (): bool => ($this->heatOf($run)['alarm'] ?? null) === $words);
        $this->send('POST', "/jobs/{$this->job->id}/proof-run/{$run->id}/unplugged")->assertOk();
        $this->turnUntil(fn (): bool => ! ($this->prover?->busy() ?? true));
        $clerk->turn();
        self::assertSame('off', $run->refresh()->heat);
        $this->turnUntil(fn (): bool => $this->heatOf($run) === null);
    }

    private function isSeenToCool(ProofRun $run): void
    {
        $this->turnUntil(fn (): bool => ($this->files->read($run->id, 'said')['heat'] ?? 'off') === 'off');
        $this->app->make(Clerk::class)->turn();
        self::assertSame('off', $run->refresh()->heat);
    }

    /** A run that has come as far as its hot end is hot; then nobody turns the runner any more. */
    private function hot(): ProofRun
    {
        $run = $this->begin([]);
        $this->watch($run, fn (): bool => $run->refresh()->stage === 'hotend-hold' && $this->target() > 100, leaveThen: true);
        self::assertSame('hot', $run->refresh()->heat);

        return $run;
    }

    private function turnUntil(callable $until): void
    {
        for ($end = microtime(true) + 30; microtime(true) < $end;) {
            $this->server?->serve();
            $this->prover?->turn();
            if ($until()) {
                return;
            }
            if ($this->server === null) {
                usleep(5000);
            }
        }
        self::fail('It did not come to that.');
    }

    private function lastBeat(int $ago): void
    {
        file_put_contents("{$this->files->folder}/clerk.alive", (string) (hrtime(true) - $ago * 1_000_000_000));
    }

    /** @return array<string, mixed>|null what every screen is told */
    private function heatOf(ProofRun $run): ?array
    {
        $told = json_decode((string) @file_get_contents("{$this->files->folder}/heat.json"), true);

        return collect((array) ($told['printers'] ?? []))->firstWhere('run', $run->id);
    }

    private function target(): float
    {
        self::assertNotNull($this->printer);

        return $this->printer->hotendTarget();
    }

    private function isOff(): void
    {
        $this->serveFor(0.1);
        self::assertSame(0.0, $this->target());
    }
}
