<?php

declare(strict_types=1);

namespace Tests\Drill;

use Throwable;

/** What is done to the instance; each says one line with its figures, and whether it held. */
final class Drill
{
    private const SERVICES = ['db', 'php', 'nginx', 'worker', 'prover', 'clerk', 'clock'];

    public int $failed = 0;

    public function __construct(private readonly Site $site, private readonly bool $long)
    {
    }

    public function all(): void
    {
        $this->line('kills during numbered writes', $this->kills(...));
        $this->line('races for the last one', $this->races(...));
        $this->line('one order closed by eight', $this->orders(...));
        $this->line('sent out by eight, worker down', $this->sendOut(...));
        foreach ($this->long ? ['silent', 'closes', 'storm', 'huge', 'busy', 'deaf'] : ['silent', 'busy', 'deaf'] as $how) {
            $this->line("hostile printer: {$how}", fn (): string => $this->hostile($how));
        }
        foreach ($this->long ? ['stays', 'creeps', 'leaks', 'returns'] : ['stays', 'returns'] as $how) {
            $this->line("off, and its heater {$how}", fn (): string => $this->goesOn($how));
        }
        $this->line('stop, until confirmed off', $this->stops(...));
        $this->line('database locked while hot', $this->locked(...));
        $this->line('runner killed while hot', $this->runnerKilled(...));
        $this->line('database killed while hot', $this->databaseKilled(...));
        $this->line('database away while hot', $this->databaseAway(...));
        $this->line('wall clock set by an hour', $this->clock(...));
        $this->line('what the web server says itself', $this->webServer(...));
        $siege = new Siege($this->site);
        $this->line('half-open callers', $siege->halfOpen(...));
        $this->line('guessed names', $siege->names(...));
        $this->line('big files', fn (): string => $siege->bigFiles($this->long));
        $this->line('sessions of twelve hours', $siege->oldSessions(...));
        $this->line('a backup while it writes', fn (): string => $siege->backup($this->part(1)));
        $this->line('disk for files full', $this->disk(...));
        if ($this->long) {
            $this->line('samples taken in full', $this->samples(...));
            $this->line('every write route, by eight', $this->routes(...));
        }
    }

    /** @param  \Closure(): string  $do */
    private function line(string $name, \Closure $do): void
    {
        $began = hrtime(true);
        try {
            [$mark, $words] = ['held', $do()];
        } catch (Throwable $e) {
            [$mark, $words] = ['FAILED', $e->getMessage()];
            $this->failed++;
        }
        printf("%-32s %-6s %s (%.0f s)\n", $name, $mark, $words, (hrtime(true) - $began) / 1e9);
    }

    private function kills(): string
    {
        $kills = $this->long ? 1000 : 7;
        $part = $this->part(1);
        $acked = (string) tempnam(sys_get_temp_dir(), 'acked');
        $writer = pcntl_fork();
        if ($writer === 0) {
            $desk = new Desk($this->site->url, 'drill', Site::env('DRILL_PASSWORD'));
            for ($n = 1; file_exists("{$acked}.go"); $n++) {
                if ($desk->write(
                    'POST',
                    "/parts/{$part}/movements",
                    ['kind' => 'received', 'quantity' => 1, 'unitCostMinor' => 120, 'note' => "n{$n}"],
                    90,
                )[0] === 200) {
                    file_put_contents($acked, "n{$n}\n", FILE_APPEND);
                }
            }
            file_put_contents("{$acked}.again", (string) $desk->sentAgain);
            posix_kill((int) getmypid(), SIGKILL);
        }
        touch("{$acked}.go");
        $times = [];
        for ($i = 0; $i < $kills; $i++) {
            $service = self::SERVICES[$i % count(self::SERVICES)];
            $times[$service][] = $this->site->kill($service);
            usleep(150_000);
        }
        unlink("{$acked}.go");
        pcntl_waitpid($writer, $status);
        $told = array_filter(explode("\n", (string) file_get_contents($acked)));
        $kept = $this->site->ask("SELECT note FROM movements WHERE note LIKE 'n%'");
        $lost = count(array_diff($told, $kept));
        $twice = count($kept) - count(array_unique($kept));
        $this->must($lost === 0 && $twice === 0, sprintf('%d lost, %d doubled of %d', $lost, $twice, count($told)));
        $all = array_merge(...array_values($times));
        sort($all);
        $slow = array_keys($times, max($times));
        $this->must(max($all) < 5.0, sprintf('a service took %.1f s to come back (%s)', max($all), implode(', ', $slow)));

        return sprintf(
            '%d kills, %d writes answered, %s sent again, 0 lost, 0 doubled; back after %.1f s median, %.1f s most',
            $kills,
            count($told),
            (string) @file_get_contents("{$acked}.again"),
            $all[intdiv(count($all), 2)],
            max($all),
        );
    }

    private function races(): string
    {
        $rounds = $this->long ? 400 : 12;
        for ($i = 0; $i < $rounds; $i++) {
            $statuses = $this->site->desk->together(
                8,
                'POST',
                "/parts/{$this->part(1)}/movements",
                ['kind' => 'scrapped', 'quantity' => 1, 'note' => 'bent'],
            );
            $this->onceOf($statuses);
        }
        $this->must($this->site->ask('SELECT count(*) FROM parts WHERE on_hand < 0')[0] === 0, 'stock below zero');

        return sprintf('%d presses for %d parts, each taken once, none below zero', 8 * $rounds, $rounds);
    }

    private function orders(): string
    {
        $rounds = $this->long ? 50 : 2;
        for ($i = 0; $i < $rounds; $i++) {
            $part = $this->part(1);
            $this->site->desk->done(
                'PUT',
                "/parts/{$part}/supply",
                ['supplier' => 'Drill works', 'leadDays' => 5, 'pack' => 5, 'packCostMinor' => 900],
            );
            $supplier = (int) $this->site->ask('SELECT max(id) FROM suppliers')[0];
            $this->site->desk->done('POST', '/orders', ['supplier' => $supplier, 'packs' => [$part => 1], 'lessIsRight' => true]);
            $this->onceOf($this->site->desk->together(
                8,
                'POST',
                '/orders/'.$this->site->ask('SELECT max(id) FROM orders')[0].'/close',
                ['because' => 'they have none'],
            ));
        }

        return "{$rounds} orders, each closed once, seven times refused";
    }

    private function sendOut(): string
    {
        $this->site->supervise('stop', 'worker');
        try {
            $jobs = [];
            foreach (range(1, $this->long ? 10 : 1) as $_) {
                $jobs[] = $job = $this->inspected();
                $version = (int) $this->site->desk->done('GET', "/jobs/{$job}")['version'];
                $this->onceOf($this->site->desk->together(8, 'POST', "/jobs/{$job}/release", ['to' => 'service', 'version' => $version]));
            }
        } finally {
            $this->site->supervise('start', 'worker');
        }
        $this->site->wait(fn (): bool => $this->site->ask('SELECT count(*) FROM queued_jobs')[0] === 0, 90);

        return count($jobs).' machines, each sent out once; what was left to count was counted when the worker was back';
    }

    private function hostile(string $how): string
    {
        $port = $this->site->printer($how);
        $job = $this->site->jobAtProve();
        $run = $this->site->heat($job, $port);
        $alarmed = null;
        $began = hrtime(true);
        if ($how === 'deaf') {
            $this->site->desk->done('POST', "/jobs/{$job}/proof-run/{$run}/stop");
        }
        $off = $this->site->wait(function () use ($run, $port, &$alarmed, $began): bool {
            if ($alarmed === null && $this->site->alarm($run) !== null) {
                $alarmed = (hrtime(true) - $began) / 1e9;
            }

            return $this->site->target($port) === 0.0;
        }, 40);
        // either it was seen to cool, or every screen is told
        $this->site->wait(
            fn (): bool => ($this->site->said($run)['heat'] ?? '') === 'off'
                || $this->site->alarm($run) !== null
                || $this->site->said($run) === [],
            40,
        );
        $state = (string) ($this->site->said($run)['state'] ?? $this->site->ask("SELECT state FROM proof_runs WHERE id = {$run}")[0]);
        $heat = (string) ($this->site->said($run)['heat'] ?? $this->site->ask("SELECT heat FROM proof_runs WHERE id = {$run}")[0]);
        $this->must(in_array($state, ['failed', 'lost', 'stopped'], true), "it stands at “{$state}”");
        if ($heat !== 'off') {
            // the printer may say so itself between the look and the press
            [$status, $answer] = $this->site->desk->write('POST', "/jobs/{$job}/proof-run/{$run}/unplugged");
            $itself = $status === 409 && str_contains((string) ($answer['detail'] ?? ''), 'off already');
            $this->must($status === 200 || $itself, "unplugged was answered {$status}");
            $heat = $itself ? 'off' : $heat;
        }
        $this->site->noPrinter($port);

        return sprintf(
            'off after %.1f s (%.0f s of the printer’s time), %s%s',
            $off,
            20 * $off,
            $heat === 'off' ? 'and it was seen to cool' : 'not confirmed, so every screen says: pull the plug',
            $alarmed === null ? '' : sprintf('; alarm after %.1f s', $alarmed),
        );
    }

    /** Off as the printer says, and hot all the same: every screen says so, and it stays so until somebody pulls the plug. */
    private function goesOn(string $how): string
    {
        $port = $this->site->printer(null, $how);
        $job = $this->site->jobAtProve();
        $run = $this->site->heat($job, $port);
        $this->site->wait(fn (): bool => (float) ($this->site->said($run)['hotend_c'] ?? 0) > 150.0, 60);
        $began = hrtime(true);
        $this->site->desk->done('POST', "/jobs/{$job}/proof-run/{$run}/stop");
        $this->site->wait(fn (): bool => $this->site->alarm($run) !== null && ($this->site->said($run)['plug'] ?? null) !== null, 60);
        $seen = (hrtime(true) - $began) / 1e9;
        $words = (string) $this->site->alarm($run);
        $tagged = $how !== 'returns';
        if ($tagged) {
            $this->site->wait(
                fn (): bool => $this->site->ask("SELECT count(*) FROM red_tags WHERE job_id = {$job} AND off_at IS NULL")[0] === 1,
                10,
            );
        }
        // who comes after this runner says the same
        posix_kill((int) $this->site->supervise('pid', 'prover'), SIGKILL);
        usleep(3_000_000);
        $this->must($this->site->alarm($run) === $words, 'the runner that came after it says '.json_encode($this->site->alarm($run)));
        $this->site->desk->done('POST', "/jobs/{$job}/proof-run/{$run}/unplugged");
        $this->site->wait(fn (): bool => $this->site->alarm($run) === null, 10);
        $this->site->noPrinter($port);

        return sprintf('“%s” after %.1f s (%.0f s of the printer’s time)%s', $words, $seen, 20 * $seen, $tagged ? ', and a red tag' : '');
    }

    private function stops(): string
    {
        $port = $this->site->printer();
        $job = $this->site->jobAtProve();
        $times = $cooled = [];
        foreach (range(1, $this->long ? 60 : 3) as $_) {
            $run = $this->site->heat($job, $port);
            $began = hrtime(true);
            $this->site->desk->send('POST', "/jobs/{$job}/proof-run/{$run}/stop");
            $this->site->wait(fn (): bool => in_array($this->site->said($run)['heat'] ?? 'off', ['cooling', 'off'], true), 10);
            $times[] = (hrtime(true) - $began) / 1e9;
            $this->must($this->site->target($port) === 0.0, 'its own screen shows a target');
            // nobody begins on it before it was seen to cool
            $this->site->wait(
                fn (): bool => $this->site->ask(
                    "SELECT count(*) FROM proof_runs WHERE id = {$run} AND ended_at IS NOT NULL AND heat = 'off'",
                )[0] === 1,
                30,
            );
            $cooled[] = (hrtime(true) - $began) / 1e9;
        }
        sort($times);
        $this->site->noPrinter($port);
        $p95 = $times[(int) ceil(0.95 * count($times)) - 1];
        $this->must($p95 < 1.0, sprintf('95th percentile %.2f s', $p95));

        return sprintf(
            '%d stops: median %.2f s, 95th percentile %.2f s; seen to cool after %.1f s at the most (%.0f s of the printer’s time)',
            count($times),
            $times[intdiv(count($times), 2)],
            $p95,
            max($cooled),
            20 * max($cooled),
        );
    }

    /** Everything Stop would read is held by somebody else for ten seconds. */
    private function locked(): string
    {
        $port = $this->site->printer();
        $job = $this->site->jobAtProve();
        $times = [];
        foreach (range(1, $this->long ? 20 : 1) as $_) {
            $run = $this->site->heat($job, $port);
            $this->site->wait(fn (): bool => $this->site->target($port) > 0, 10);
            $holds = $this->site->hold(['sessions', 'people', 'jobs', 'proof_runs']);
            $began = hrtime(true);
            $this->site->desk->send('POST', "/jobs/{$job}/proof-run/{$run}/stop");
            $this->site->wait(fn (): bool => $this->site->target($port) === 0.0, 10);
            $times[] = (hrtime(true) - $began) / 1e9;
            $holds->rollBack();
            $this->site->wait(
                fn (): bool => $this->site->ask(
                    "SELECT count(*) FROM proof_runs WHERE id = {$run} AND ended_at IS NOT NULL AND heat = 'off'",
                )[0] === 1,
                30,
            );
        }
        $this->site->noPrinter($port);
        sort($times);
        $most = max($times);
        $this->must($most < 2.0, sprintf('%.2f s', $most));

        return sprintf('%d stops: median %.2f s, most %.2f s', count($times), $times[intdiv(count($times), 2)], $most);
    }

    private function runnerKilled(): string
    {
        $port = $this->site->printer();
        $job = $this->site->jobAtProve();
        $times = [];
        foreach (range(1, $this->long ? 20 : 1) as $_) {
            $run = $this->site->heat($job, $port);
            $this->site->wait(fn (): bool => $this->site->target($port) > 0, 10);
            posix_kill((int) $this->site->supervise('pid', 'prover'), SIGKILL);
            $times[] = $this->site->wait(fn (): bool => $this->site->target($port) === 0.0, 20);
            // and then it goes on by itself
            $this->site->wait(fn (): bool => $this->site->target($port) > 0, 30);
            $this->site->desk->done('POST', "/jobs/{$job}/proof-run/{$run}/stop");
            $this->site->wait(
                fn (): bool => $this->site->ask(
                    "SELECT count(*) FROM proof_runs WHERE id = {$run} AND ended_at IS NOT NULL AND heat = 'off'",
                )[0] === 1,
                30,
            );
        }
        $this->site->noPrinter($port);
        $this->must(max($times) < 8.0, sprintf('%.1f s', max($times)));

        return sprintf('%d times: off after %.1f s at the most, then the run went on by itself', count($times), max($times));
    }

    private function databaseKilled(): string
    {
        $port = $this->site->printer();
        $job = $this->site->jobAtProve();
        $run = $this->site->heat($job, $port);
        $back = $this->site->kill('db');
        if ($this->long) {
            $this->passes($job, $run);
        } else {
            usleep(2_000_000);
            $said = $this->site->said($run);
            $this->must($said['heat'] === 'hot' && $said['state'] === 'running', "the run ended: {$said['said']}");
            $this->site->desk->done('POST', "/jobs/{$job}/proof-run/{$run}/stop");
            $this->site->wait(fn (): bool => $this->site->target($port) === 0.0, 10);
        }
        $this->site->noPrinter($port);

        return sprintf('back after %.1f s, and the run went on', $back);
    }

    private function databaseAway(): string
    {
        $port = $this->site->printer();
        $job = $this->site->jobAtProve();
        $run = $this->site->heat($job, $port);
        $this->site->supervise('stop', 'db');
        $off = $this->site->wait(fn (): bool => $this->site->target($port) === 0.0, 40);
        $this->site->supervise('start', 'db');
        $this->site->wait(fn (): bool => $this->site->answers(), 20);
        $this->site->wait(
            fn (): bool => $this->site->ask(
                "SELECT count(*) FROM proof_runs WHERE id = {$run} AND state = 'stopped' AND heat = 'off'",
            )[0] === 1,
            40,
        );
        $this->site->noPrinter($port);

        return sprintf('off after %.1f s (a restart has 15), and written down when it was back', $off);
    }

    private function clock(): string
    {
        $port = $this->site->printer();
        $job = $this->site->jobAtProve();
        $run = $this->site->heat($job, $port);
        file_put_contents(Site::env('DRILL_CLOCK'), "+3600s\n");
        $began = hrtime(true);
        $this->site->wait(fn (): bool => isset($this->site->said($run)['results']['hotend-hold']), 60);
        $held = (hrtime(true) - $began) / 1e9;
        $this->must($held > 180 / 20, sprintf('three minutes passed in %.1f s', 20 * $held));
        file_put_contents(Site::env('DRILL_CLOCK'), "+0s\n");
        $began = hrtime(true);
        $this->site->desk->done('POST', "/jobs/{$job}/proof-run/{$run}/stop");
        $this->site->wait(fn (): bool => $this->site->target($port) === 0.0, 10);
        $stop = (hrtime(true) - $began) / 1e9;
        $this->site->noPrinter($port);

        return sprintf('warm-up and hold took their %.0f s; Stop heard in %.2f s after it was set back', 20 * $held, $stop);
    }

    private function webServer(): string
    {
        [$status, $answer] = $this->site->desk->send('POST', '/stock-files/parts', str_repeat('x', 33 * 1024 * 1024), within: 30);
        $this->must(
            $status === 413 && str_contains((string) ($answer['detail'] ?? ''), 'over 32 MB'),
            "33 MB are answered {$status} ".json_encode($answer),
        );
        $this->site->supervise('stop', 'php');
        try {
            [$status, $answer] = $this->site->desk->send('POST', '/jobs', ['kind' => 'repair']);
            $this->must(
                $status === 503 && ($answer['status'] ?? 0) === 503 && ($answer['detail'] ?? '') !== '',
                "without PHP it is {$status} ".json_encode($answer),
            );
        } finally {
            $this->site->supervise('start', 'php');
        }
        $this->site->supervise('stop', 'db');
        try {
            [$status, $answer] = $this->site->desk->send('POST', '/jobs', ['kind' => 'repair']);
            $this->must(
                $status === 503 && str_contains((string) ($answer['detail'] ?? ''), 'database is away'),
                "without the database it is {$status} ".json_encode($answer),
            );
        } finally {
            $this->site->supervise('start', 'db');
            $this->site->wait(fn (): bool => $this->site->answers(), 20);
        }

        return '413, 503 without PHP and 503 without the database are problem documents in words';
    }

    private function disk(): string
    {
        if (posix_geteuid() !== 0) {
            return 'not tried: it needs root to mount a small disk';
        }
        $folder = Site::env('DRILL_FILES');
        $job = $this->site->jobAtProve();
        @mkdir($folder, 02770, true);
        $owner = fileowner(dirname($folder));
        exec(
            'mount -t tmpfs -o size=64k,mode=2770,uid='.$owner.',gid='.filegroup(dirname($folder)).' tmpfs '.escapeshellarg($folder),
            $said,
            $status,
        );
        if ($status !== 0) {
            return 'not tried: no small disk can be mounted here';
        }
        try {
            $picture = imagecreatetruecolor(1600, 1200);
            for ($i = 0; $i < 60_000; $i++) {
                imagesetpixel($picture, random_int(0, 1599), random_int(0, 1199), random_int(0, 0xFFFFFF));
            }
            ob_start();
            imagejpeg($picture, null, 95);
            [$status, $answer] = $this->site->desk->send('POST', "/jobs/{$job}/photographs", (string) ob_get_clean(), within: 20);
            $left = trim((string) shell_exec('find '.escapeshellarg($folder).' -type f | wc -l'));
            $this->must(
                $status === 409 && str_contains((string) ($answer['detail'] ?? ''), 'full'),
                "answered {$status} ".json_encode($answer),
            );
            $this->must($left === '0', "{$left} files were left behind");
            $this->must($this->site->desk->write('POST', "/jobs/{$job}/hands", ['on' => false])[0] === 200, 'other writes do not work');
        } finally {
            exec('umount '.escapeshellarg($folder));
        }

        return 'a photograph is refused in words, nothing is left behind, everything else works';
    }

    /** What `test` takes by drawn fifths. */
    private function samples(): string
    {
        exec('TEST_SAMPLE=all '.escapeshellarg(dirname(__DIR__, 2).'/vendor/bin/phpunit').' --testsuite Core 2>&1', $said, $status);
        $this->must($status === 0, implode("\n", array_slice($said, -30)));

        return trim((string) array_pop($said));
    }

    private function routes(): string
    {
        $rounds = 7;
        for ($i = 0; $i < $rounds; $i++) {
            exec(escapeshellarg(dirname(__DIR__, 2).'/vendor/bin/phpunit').' --testsuite Races 2>&1', $said, $status);
            $this->must($status === 0, implode("\n", array_slice($said, -30)));
        }
        $routes = substr_count((string) file_get_contents(__DIR__.'/../Races/Scenes.php'), "' => f");

        return sprintf(
            '%d routes × 16 presses × %d rounds = %d, one effect or a clear refusal, no fault of the server',
            $routes,
            $rounds,
            $routes * 16 * $rounds,
        );
    }

    private function passes(int $job, int $run): void
    {
        $this->site->wait(function () use ($job, $run): bool {
            $said = $this->site->said($run);
            // the first proof that wants cool air is far enough
            $this->site->answer($job, $run, str_contains((string) ($said['question'] ?? ''), 'air') ? [] : $said);

            return isset($said['results']['hotend-hold']) || ($said['ended'] ?? false) === true;
        }, 60);
        $said = $this->site->said($run);
        $this->must(($said['results']['hotend-hold']['passed'] ?? false) === true, 'the run ended: '.(string) ($said['said'] ?? ''));
        $this->site->desk->done('POST', "/jobs/{$job}/proof-run/{$run}/stop");
        $this->site->wait(fn (): bool => ($this->site->said($run)['heat'] ?? 'off') === 'off', 10);
    }

    private function inspected(): int
    {
        $job = (int) $this->site->desk->done(
            'POST',
            '/jobs',
            [
                'kind' => 'inspection',
                'family' => 'tern-220',
                'serial' => 'insp-'.bin2hex(random_bytes(4)),
                'heldAs' => 'farm',
                'complaint' => 'look it over',
                'began' => 'not-known',
                'hours' => 100,
            ],
        )['id'];
        $now = fn (): array => $this->site->desk->done('GET', "/jobs/{$job}");
        $this->site->answerSafety($job);
        $this->site->desk->done('POST', "/jobs/{$job}/station", ['to' => 'diagnosis', 'version' => $now()['version']]);
        $this->site->desk->done('POST', "/jobs/{$job}/faults/pass", ['reason' => 'Nothing broken.', 'version' => $now()['version']]);
        $this->site->desk->done('POST', "/jobs/{$job}/station", ['to' => 'proof', 'version' => $now()['version']]);
        for ($i = 0; $i < 12; $i++) {
            $open = array_values(array_filter(
                (array) $now()['proofs'],
                static fn (array $p): bool => $p['standing'] === 'open',
            ))[0] ?? null;
            if ($open === null) {
                break;
            }
            preg_match_all('/\d+(?:\.\d+)?/', (string) $open['limits'], $found);
            [$a, $b] = [(float) ($found[0][0] ?? 0), (float) ($found[0][1] ?? 0)];
            $value = $open['unit'] === null ? null : ($b > 0 ? ($a + $b) / 2 : (str_contains(
                (string) $open['limits'],
                'least',
            ) ? 2 * $a : $a / 2));
            $this->site->desk->done('POST', "/jobs/{$job}/proofs", ['proof' => $open['code'], 'value' => $value, 'passed' => true]);
        }
        $this->site->desk->done('POST', "/jobs/{$job}/station", ['to' => 'release', 'version' => $now()['version']]);

        return $job;
    }

    private function part(int $onHand): string
    {
        $number = 'DR-'.strtoupper(bin2hex(random_bytes(4)));
        $this->site->desk->done('POST', '/parts', ['number' => $number, 'name' => 'Drill part', 'class' => 'liner', 'bin' => 'C4']);
        $this->site->desk->done(
            'POST',
            "/parts/{$number}/movements",
            ['kind' => 'received', 'quantity' => $onHand, 'unitCostMinor' => 120],
        );

        return $number;
    }

    /** @param  list<int>  $statuses */
    private function onceOf(array $statuses): void
    {
        $this->must(
            count(array_keys($statuses, 200, true)) === 1 && count(array_keys($statuses, 409, true)) === count($statuses) - 1,
            'answered '.implode(' ', $statuses),
        );
    }

    private function must(bool $holds, string $otherwise): void
    {
        if (! $holds) {
            throw new \RuntimeException($otherwise);
        }
    }
}
