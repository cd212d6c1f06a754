<?php

declare(strict_types=1);

namespace Tests\Drill;

use PDO;
use RuntimeException;

/** The instance that is drilled: its services, its database, its files, and a printer for it. */
final class Site
{
    public readonly string $url;

    public readonly Desk $desk;

    /** @var array<int, resource> port => simulated printer */
    private array $rigs = [];

    private int $serial = 0;

    public function __construct()
    {
        $this->url = self::env('DRILL_URL');
        $this->desk = new Desk($this->url, 'drill', self::env('DRILL_PASSWORD'));
    }

    public static function env(string $name): string
    {
        return getenv($name) ?: throw new RuntimeException("{$name} is not set: start this with bin/odd-bench drill.");
    }

    public function supervise(string ...$words): string
    {
        return trim((string) shell_exec(implode(
            ' ',
            array_map(escapeshellarg(...), ['supervisorctl', '-c', self::env('DRILL_SUPERVISOR'), ...$words]),
        ).' 2>&1'));
    }

    /** Kills a service as the kernel would when memory is out; s until it runs again and, where the page needs it, the page answers. */
    public function kill(string $service): float
    {
        $pid = (int) $this->supervise('pid', $service);
        $began = hrtime(true);
        posix_kill($pid, SIGKILL);
        do {
            usleep(50_000);
            $now = (int) $this->supervise('pid', $service);
        } while (($now === $pid || $now === 0) && (hrtime(true) - $began) < 60e9);
        while (in_array($service, ['db', 'php', 'nginx'], true) && ! $this->answers() && (hrtime(true) - $began) < 60e9) {
            usleep(20_000);
        }

        return (hrtime(true) - $began) / 1e9;
    }

    public function answers(): bool
    {
        return @file_get_contents("{$this->url}/health", false, stream_context_create(['http' => ['timeout' => 2]])) !== false;
    }

    private function database(): PDO
    {
        return new PDO(
            sprintf('pgsql:host=127.0.0.1;port=%s;dbname=odd_bench', self::env('DB_PORT')),
            'odd_bench',
            self::env('DB_PASSWORD'),
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
    }

    /**
     * Nobody else reads these until it is rolled back.
     *
     * @param  list<string>  $tables
     */
    public function hold(array $tables): PDO
    {
        $holds = $this->database();
        $holds->beginTransaction();
        $holds->exec('LOCK TABLE '.implode(', ', $tables).' IN ACCESS EXCLUSIVE MODE');

        return $holds;
    }

    /** @return list<mixed> first column */
    public function ask(string $sql): array
    {
        $asked = $this->database()->query($sql);

        return $asked === false ? [] : $asked->fetchAll(PDO::FETCH_COLUMN);
    }

    /** @return int the port it listens on */
    public function printer(?string $hostile = null, ?string $goesOn = null): int
    {
        $free = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
        $name = (string) stream_socket_get_name($free, false);
        fclose($free);
        $port = (int) substr($name, (int) strrpos($name, ':') + 1);
        $process = proc_open(
            [
                'php',
                dirname(__DIR__, 2).'/artisan',
                'odd-bench:rig',
                '--port',
                (string) $port,
                '--speed',
                '20',
                ...($hostile === null ? [] : ['--hostile', $hostile]),
                ...($goesOn === null ? [] : ['--goes-on', $goesOn]),
            ],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
        );
        $this->rigs[$port] = $process ?: throw new RuntimeException('The simulated printer cannot be started.');
        for ($i = 0; $i < 200 && $this->target($port) === null; $i++) {
            usleep(50_000);
        }

        return $port;
    }

    public function noPrinter(int $port): void
    {
        proc_terminate($this->rigs[$port], SIGKILL);
        proc_close($this->rigs[$port]);
        unset($this->rigs[$port]);
    }

    /** °C its hot end is told to reach, as its own screen shows it; nothing when it is not there. */
    public function target(int $port): ?float
    {
        $socket = @stream_socket_client("tcp://127.0.0.1:{$port}", $code, $message, 1);
        if ($socket === false) {
            return null;
        }
        stream_set_timeout($socket, 1);
        fwrite($socket, "@target\n");
        for ($i = 0, $line = ''; $i < 4000 && $line !== false && preg_match('/^\d+\.\d\n$/', (string) $line) !== 1; $i++) {
            $line = fgets($socket);
        }
        fclose($socket);

        return $line === false ? null : (float) $line;
    }

    public function answerSafety(int $job): void
    {
        $questions = array_column((array) $this->desk->done('GET', '/knowledge')['safetyQuestions'], 'code');
        $this->desk->done('POST', "/jobs/{$job}/safety-answers", ['answers' => array_fill_keys($questions, false)]);
    }

    /** A job that stands at Prove, with its cold proof passed. */
    public function jobAtProve(): int
    {
        $job = (int) $this->desk->done(
            'POST',
            '/jobs',
            [
                'kind' => 'repair',
                'family' => 'tern-220',
                'serial' => 'drill-'.getmypid().'-'.++$this->serial,
                'heldAs' => 'farm',
                'complaint' => 'it clicks',
                'began' => 'crept-in',
                'hours' => 1200,
            ],
        )['id'];
        $this->answerSafety($job);
        $at = fn (): int => (int) $this->desk->done('GET', "/jobs/{$job}")['version'];
        $this->desk->done('POST', "/jobs/{$job}/station", ['to' => 'diagnosis', 'version' => $at()]);
        $this->desk->done('POST', "/jobs/{$job}/findings", ['findings' => ['jams-when-warm' => true, 'hot-material-used' => true]]);
        $this->desk->done('POST', "/jobs/{$job}/faults", ['faults' => ['tube-cooked'], 'version' => $at()]);
        $this->desk->done('POST', "/jobs/{$job}/mends", ['fault' => 'tube-cooked', 'done' => 'New liner']);
        $this->desk->done('POST', "/jobs/{$job}/station", ['to' => 'proof', 'version' => $at()]);
        $this->desk->done('POST', "/jobs/{$job}/proofs", ['proof' => 'leads-tug', 'passed' => true]);

        return $job;
    }

    /** Begins a run and answers what is asked until its hot end is told to heat. */
    public function heat(int $job, int $port): int
    {
        $run = (int) $this->desk->done(
            'POST',
            "/jobs/{$job}/proof-run",
            ['host' => '127.0.0.1', 'port' => $port, 'leaveOut' => ['long'], 'moved' => true],
        )['id'];
        for ($end = microtime(true) + 40; microtime(true) < $end; usleep(50_000)) {
            $said = $this->said($run);
            $this->answer($job, $run, $said);
            if (($said['heat'] ?? '') === 'hot' || ($said['ended'] ?? false) === true) {
                return $run;
            }
        }
        throw new RuntimeException('The run never came to heat: '.json_encode($this->said($run)));
    }

    /** @param  array<string, mixed>  $said */
    public function answer(int $job, int $run, array $said): void
    {
        $words = (string) ($said['question'] ?? '');
        if ($words !== '' && $said['state'] === 'asking') {
            $this->desk->send(
                'POST',
                "/jobs/{$job}/proof-run/{$run}/answer",
                ['answer' => str_contains($words, 'fan') ? 'all turn' : (string) $said['choices'][0]],
            );
        }
    }

    /** @return array<string, mixed> what the runner has written down of it */
    public function said(int $run): array
    {
        $said = json_decode((string) @file_get_contents(self::env('DRILL_RUNS')."/{$run}.said"), true);

        return is_array($said) ? $said : [];
    }

    /** What every screen is told of it. */
    public function alarm(int $run): ?string
    {
        $told = json_decode((string) @file_get_contents("{$this->url}/heat.json"), true);
        foreach (is_array($told) ? $told['printers'] : [] as $printer) {
            if ($printer['run'] === $run) {
                return $printer['alarm'];
            }
        }

        return null;
    }

    /** @param  \Closure(): bool  $until */
    public function wait(\Closure $until, float $within): float
    {
        $began = hrtime(true);
        while (! $until()) {
            if ((hrtime(true) - $began) / 1e9 > $within) {
                throw new RuntimeException(sprintf('It did not come to that within %.0f s.', $within));
            }
            usleep(15_000);
        }

        return (hrtime(true) - $began) / 1e9;
    }
}
