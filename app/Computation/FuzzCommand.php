<?php

declare(strict_types=1);

namespace App\Computation;

use App\Knowledge\KnowledgeFiles;
use ErrorException;
use Illuminate\Console\Command;
use OddBench\Computation\Answer;
use OddBench\Computation\Catalogue;
use OddBench\Computation\Examples;
use OddBench\Computation\Hostile;
use RuntimeException;

/** Gives every computation inputs that wish it ill, each with a limit of time and memory, in a process that may be killed. */
final class FuzzCommand extends Command
{
    private const SECONDS = 5.0;

    private const MEGABYTES = 256;

    protected $signature = 'odd-bench:fuzz {--name= : one computation only} {--each=300 : inputs for each} {--seed=1 : of the first} {--worker : answers in this process, a line each}';

    protected $description = 'Hostile inputs: every one has an answer, in time, without a trace';

    public function handle(KnowledgeFiles $files): int
    {
        $name = (string) $this->option('name');
        if ((bool) $this->option('worker')) {
            return $this->work(Catalogue::of($files->read()), $name, (int) $this->option('seed'), (int) $this->option('each'));
        }
        $bad = 0;
        $this->line(sprintf('%-20s %6s %8s %8s %8s', 'computation', 'inputs', 'refused', 's worst', 'MB worst'));
        foreach ($name === '' ? array_keys(Examples::all()) : [$name] as $of) {
            $bad += $this->watch($of, (int) $this->option('seed'), (int) $this->option('each'));
        }
        $this->line($bad === 0 ? 'Every input had its answer.' : "{$bad} had none.");

        return $bad === 0 ? 0 : 1;
    }

    /** Answers one after the other and says so after each, so that whoever watches sees the one it dies of. */
    private function work(Catalogue $catalogue, string $name, int $seed, int $count): int
    {
        set_error_handler(static fn (
            int $level,
            string $message,
            string $file,
            int $line,
        ): never => throw new ErrorException($message, 0, $level, $file, $line));
        $example = Examples::all()[$name] ?? throw new RuntimeException("There is no computation “{$name}”.");
        for ($end = $seed + $count; $seed < $end; $seed++) {
            $hostile = Hostile::from($example, $seed);
            memory_reset_peak_usage();
            $began = microtime(true);
            $answer = Answer::to($catalogue, $name, $hostile->json, $hostile->opened(...));
            $this->output->writeln((string) json_encode([
                'seed' => $seed, 'code' => $answer->code, 's' => microtime(true) - $began, 'mb' => memory_get_peak_usage() / 1e6,
                'wrong' => $answer->fault !== null ? get_class($answer->fault).': '.mb_strcut(
                    mb_scrub($answer->fault->getMessage()),
                    0,
                    200,
                ) : self::wrong($answer),
            ], JSON_INVALID_UTF8_SUBSTITUTE));
        }

        return 0;
    }

    private static function wrong(Answer $answer): ?string
    {
        $said = json_decode($answer->json, true);

        return match (true) {
            ! is_array($said) => 'no JSON',
            $answer->code === 2 && (! is_array($said['error'] ?? null) || ($said['error']['field'] ?? '') === '') => 'no field',
            $answer->code === 2 && preg_match('~\.php\b|'.preg_quote(base_path(), '~').'~', $answer->json) === 1 => 'a path',
            default => null,
        };
    }

    /** @return int how many had no answer */
    private function watch(string $name, int $seed, int $count): int
    {
        [$bad, $refused, $slowest, $largest] = [0, 0, 0.0, 0.0];
        for ($end = $seed + $count; $seed < $end;) {
            $command = [
                PHP_BINARY,
                '-d',
                'memory_limit='.self::MEGABYTES.'M',
                base_path('artisan'),
                'odd-bench:fuzz',
                '--worker',
                "--name={$name}",
                "--seed={$seed}",
                '--each='.($end - $seed),
            ];
            $process = proc_open($command, [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes, base_path());
            if (! is_resource($process)) {
                throw new RuntimeException('No process to fuzz in.');
            }
            // the first answer waits for the process as well
            for ($patience = 4 * self::SECONDS; $seed < $end && ($line = self::answered($pipes[1], $patience)) !== null; $patience = self::SECONDS) {
                $said = json_decode($line, true);
                if (! is_array($said)) {
                    continue;
                }
                $refused += $said['code'] === 2 ? 1 : 0;
                $slowest = max($slowest, (float) $said['s']);
                $largest = max($largest, (float) $said['mb']);
                $wrong = $said['wrong'] ?? ($said['s'] > self::SECONDS ? 'too slow' : null);
                if ($wrong !== null) {
                    $bad++;
                    $this->warn("{$name}, seed {$said['seed']}: {$wrong}");
                }
                $seed = (int) $said['seed'] + 1;
            }
            if ($seed < $end) {
                $bad++;
                $this->warn("{$name}, seed {$seed}: no answer within ".self::SECONDS.' s and '.self::MEGABYTES.' MB');
                $seed++;
            }
            proc_terminate($process, 9);
            fclose($pipes[1]);
            proc_close($process);
        }
        $this->line(sprintf('%-20s %6d %8d %8.2f %8.0f', $name, $count, $refused, $slowest, $largest));

        return $bad;
    }

    /** @param  resource  $pipe */
    private static function answered($pipe, float $patience): ?string
    {
        $read = [$pipe];
        $write = $except = [];
        if (stream_select($read, $write, $except, (int) $patience, 0) !== 1) {
            return null;
        }
        $line = fgets($pipe);

        return $line === false ? null : $line;
    }
}
