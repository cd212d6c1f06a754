<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Run\Run;
use OddBench\Rig\Printer;

/** Brings a run and a simulated printer together on virtual time, and answers as somebody who stands beside it would. */
final class Bystander
{
    private float $t;

    /** Everything that went to the printer. */
    public string $sent = '';

    public function __construct(public readonly Run $run, public readonly Printer $printer, private readonly float $step = 0.5, float $began = 0.0)
    {
        $this->t = $began;
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
        $this->t += $this->step;
        // a wire is quick: what is answered at once is answered within the same moment
        for ($quick = 0; $quick < 40; $quick++) {
            $out = $this->run->take();
            $this->sent .= $out;
            $this->printer->receive($out);
            $this->printer->advance($this->t);
            $said = $this->printer->take();
            $this->run->bytes($this->t, $said);
            if ($said === '') {
                break;
            }
        }
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
            str_contains($question, 'over the middle') => 'over the middle',
            default => $seen->fedShare > 0.97 ? 'good' : 'not good',
        };
    }
}
