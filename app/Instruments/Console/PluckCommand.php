<?php

declare(strict_types=1);

namespace App\Instruments\Console;

use Illuminate\Console\Command;
use OddBench\Rig\Pluck;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The stand-in for a belt and a microphone: writes the sound of a pluck. */
final class PluckCommand extends Command
{
    protected $signature = 'odd-bench:pluck {file : WAV file to write} {--hz=110} {--decay=0.5 : seconds to 1/e} {--noise= : dB the signal stands above the noise} {--second=0.5 : amplitude of the second harmonic} {--rate=44100} {--depth=16 : 8, 16, 24, 32 or float} {--seed=1}';

    protected $description = 'Write the sound of a plucked belt as a WAV file';

    public function handle(): int
    {
        $depth = (string) $this->option('depth');
        $rate = (int) $this->option('rate');
        $hz = (float) $this->option('hz');
        if (! in_array($depth, ['8', '16', '24', '32', 'float'], true) || $rate < 8000 || $rate > 96_000 || $hz < 10 || $hz > 2000) {
            $this->error('depth is 8, 16, 24, 32 or float; rate from 8000 to 96000; hz from 10 to 2000.');

            return self::INVALID;
        }
        $noise = $this->option('noise');
        $pluck = new Pluck(
            $hz,
            max(0.02, (float) $this->option('decay')),
            [1.0, (float) $this->option('second'), 0.25, 0.12],
            $noise === null ? null : (float) $noise,
        );
        $samples = $pluck->samples($rate, new Randomizer(new Mt19937((int) $this->option('seed'))));
        $file = (string) $this->argument('file');
        if (@file_put_contents($file, Pluck::wav($samples, $rate, $depth)) === false) {
            $this->error("“{$file}” cannot be written.");

            return self::FAILURE;
        }
        $this->line("{$file}: {$hz} Hz.");

        return self::SUCCESS;
    }
}
