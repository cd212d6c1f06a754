<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Run\Run;
use OddBench\Rig\Printer;

/** Brings a run and a simulated printer together on virtual time, and answers as somebody who stands beside it would. */
final class Bystander
{
    private float $t = 0.0;

    public function __construct(public readonly Run $run, public readonly Printer $printer, private readonly float $step = 0.5)
    {
    }

    /** @param  (callable(float): bool)|null  $until  true to stop looking on */
    public function watch(float $most = 20_000.0, ?callable $until = null): string
    {
        if ($this->run->state === 'waiting') {
            $this->run->connected($this->t);
        }
        while ($this->t < $most && $this->run->runs()) {
            $this->exchange();
            if ($until !== null && $until($this->t)) {
                break;
            }
            if ($this->run->state === 'asking') {
                $this->run->answer($this->t, $this->says((string) $this->run->want?->text));
            }
        }
        $this->exchange();
        $this->exchange();

        return $this->run->state;
    }

    public function exchange(): void
    {
        $this->printer->receive($this->run->take());
        $this->t += $this->step;
        $this->printer->advance($this->t);
        $this->run->bytes($this->t, $this->printer->take());
        $this->run->tick($this->t);
    }

    public function now(): float
    {
        return $this->t;
    }

    private function says(string $question): string
    {
        $seen = $this->printer->seen();
        if (str_contains($question, 'air on') || str_contains($question, 'air flow')) {
            $this->printer->coolAir(true, str_contains($question, 'Sock') ? 'hotend' : 'bed');

            return 'it is on';
        }
        if (str_contains($question, 'air away')) {
            $this->printer->coolAir(false);

            return 'it is away';
        }

        return match (true) {
            str_contains($question, 'smoke') => 'none',
            str_contains($question, 'fan turn') => $seen->breakFanTurns ? 'all turn' : 'one stands',
            str_contains($question, 'strand') => ['straight' => 'straight', 'curls' => 'curls'][$seen->strand] ?? 'nothing comes out',
            default => $seen->fedShare > 0.97 ? 'good' : 'not good',
        };
    }
}
