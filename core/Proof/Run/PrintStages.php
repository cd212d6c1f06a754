<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;
use LogicException;
use OddBench\Proof\Prints\ProofPrint;

/** The stages that push filament: in free air, through each slot, and from the printer’s own storage (common practice). */
final readonly class PrintStages
{
    public function __construct(private Plan $plan, private Log $log, private Heat $heat)
    {
    }

    /** @return Generator<int, Want, mixed, Shown> */
    public function freeAir(): Generator
    {
        yield Want::ok("M104 S{$this->plan->hotendC}");
        $from = $this->log->now;
        while (abs($this->heat->temperature('hotend') - $this->plan->hotendC) > 2) {
            if ($this->log->now - $from > Heat::HOTEND_RISE_S) {
                throw StageFailed::because('The hot end does not reach its temperature.', 'hotend-slow');
            }
            yield Want::time(1.0);
        }
        yield Want::ok('M83');
        foreach (range(1, 5) as $_) {
            yield Want::ok('G1 E10 F180');
        }
        yield Want::time(18.0);
        $strand = yield Want::person('How does the strand come out in free air?', ['straight', 'curls', 'nothing comes out']);

        return match ($strand) {
            'straight' => new Shown('50 mm pushed in free air, straight.'),
            'curls' => throw StageFailed::because('In free air the strand curls up to the nozzle.', 'strand-curls'),
            default => throw StageFailed::because('Nothing comes out in free air.', 'nothing-comes-out'),
        };
    }

    /**
     * Prints from the printer's own storage, so that no computer feeds it, and asks how it looks.
     *
     * @return Generator<int, Want, mixed, Shown>
     */
    public function prints(RunStage $stage): Generator
    {
        $print = $stage->print() ?? throw new LogicException("{$stage->value} prints nothing.");
        yield from $this->store($print);
        $this->log->takeAlarm();
        $began = $this->log->now;
        $most = 2 * max($stage->aboutS(), RunStage::SlotPrints->aboutS());
        try {
            yield Want::ok('M24');
            do {
                yield Want::time(5.0);
                $state = implode(' ', Want::lines(yield Want::ok('M27', 300.0)));
                $alarm = $this->log->takeAlarm();
                if ($alarm !== null) {
                    throw StageFailed::because("In the print: {$alarm}.", 'slot-alarm');
                }
                if ($this->log->now - $began > $most) {
                    throw StageFailed::because(sprintf('It is not done after %.0f min.', $most / 60), 'stops-mid-print');
                }
            } while (! str_contains($state, 'Not SD printing'));
        } catch (Halted $e) {
            throw StageFailed::because(
                sprintf('The printer stopped after %.0f min of it: %s.', ($this->log->now - $began) / 60, $e->said),
                $e->restarted ? 'restarts-itself' : ($stage === RunStage::Long ? 'fails-after-hours' : 'stops-mid-print'),
            );
        }
        $this->heat->refuseJumps($began);
        // somebody may come hours later: nothing stays hot until then
        yield Want::ok('M104 S0');
        yield Want::ok('M140 S0');
        if ((yield Want::person((string) $stage->asks(), ['good', 'not good'])) !== 'good') {
            throw StageFailed::because("{$print->words()}: not good.", $stage->failsAs());
        }

        return new Shown(sprintf('%s, from its own storage, %.0f min.', $print->words(), ($this->log->now - $began) / 60));
    }

    /**
     * Warms up and writes the file to the printer's card.
     *
     * @return Generator<int, Want, mixed, void>
     */
    private function store(ProofPrint $print): Generator
    {
        yield from $this->heat->heatBoth();
        yield Want::ok('M28 proof.gco');
        foreach ($print->lines($this->plan->bed, $this->plan->hotendC, $this->plan->bedC, $this->plan->slots, false) as $line) {
            yield Want::ok($line);
        }
        yield Want::ok('M29');
        $opened = implode(' ', Want::lines(yield Want::ok('M23 proof.gco')));
        if (! str_contains($opened, 'File selected')) {
            throw StageFailed::because('The printer does not keep the file on its card: '.$opened, 'card-unreadable');
        }
    }

    /** @return Generator<int, Want, mixed, Shown> */
    public function slots(): Generator
    {
        for ($slot = 0; $slot < $this->plan->slots; $slot++) {
            $said = implode(' ', Want::lines(yield Want::ok("T{$slot}", 90.0)));
            if (preg_match('/Error|Invalid/', $said) === 1) {
                throw StageFailed::because(
                    "Slot {$slot}: ".trim((string) preg_replace('/^.*?(Error:|echo:)/', '', $said)).'.',
                    'slot-alarm',
                );
            }
        }
        yield Want::ok('T0', 90.0);

        return new Shown("{$this->plan->slots} slots loaded and unloaded.");
    }
}
