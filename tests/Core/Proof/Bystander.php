<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Run\Run;
use OddBench\Proof\Run\Session;
use OddBench\Rig\Printer;

/** Brings a run and a simulated printer together on virtual time, and answers as somebody who stands beside it would. */
final class Bystander
{
    private float $t;

    /** @var (callable(): string)|null what comes over the wire besides, each time */
    public $noise = null;

    /** Everything that went to the printer. */
    public string $sent = '';

    public readonly Session $session;

    public function __construct(
        public readonly Run $run,
        public readonly Printer $printer,
        private readonly float $step = 0.5,
        float $began = 0.0,
        ?Session $session = null,
    ) {
        $this->t = $began;
        $this->session = $session ?? new Session($run);
    }

    /** @param  (callable(float): bool)|null  $until  true to stop looking on */
    public function watch(float $most = 20_000.0, ?callable $until = null): string
    {
        if ($this->run->state === 'waiting') {
            $this->session->connected($this->t);
        }
        while ($this->t < $most && $this->run->runs()) {
            $this->exchange();
            if ($until !== null && $until($this->t)) {
                break;
            }
            if ($this->run->state === 'asking') {
                $this->session->answer($this->t, $this->says((string) $this->run->want?->text));
            }
        }
        $this->exchange();
        $this->exchange();

        return $this->run->state;
    }

    public function exchange(): void
    {
        $this->t += $this->step;
        if ($this->noise !== null) {
            $this->session->bytes($this->t, ($this->noise)());
        }
        // a wire is quick: what is answered at once is answered within the same moment
        for ($quick = 0; $quick < 40; $quick++) {
            $out = $this->session->take();
            $this->sent .= $out;
            $this->printer->receive($out);
            $this->printer->advance($this->t);
            $said = $this->printer->take();
            $this->session->bytes($this->t, $said);
            $this->session->tick($this->t);
            if ($said === '') {
                break;
            }
        }
        $this->session->tick($this->t);
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
