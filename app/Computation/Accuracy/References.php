<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

use OddBench\Computation\Catalogue;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Every computation that has a reference beside it, worked out anew: published tables, slow obvious ways, simulations. */
final readonly class References
{
    private BeliefReferences $beliefs;

    private FrameReferences $frame;

    private ElectricReferences $electric;

    private MotionReferences $motion;

    public function __construct(Catalogue $catalogue, int $seed)
    {
        $random = new Randomizer(new Mt19937($seed));
        $this->beliefs = new BeliefReferences($catalogue, $random);
        $this->frame = new FrameReferences($catalogue, $random);
        $this->electric = new ElectricReferences($catalogue, $random);
        $this->motion = new MotionReferences($catalogue, $random);
    }

    /** @return iterable<Compared> */
    public function all(): iterable
    {
        yield Compared::over('diagnose', 'every set of faults counted (networks of up to ten faults)', $this->beliefs->posteriors());
        yield Compared::over('belt-tension', 'eigenvalue of a string of 2,000 masses', $this->frame->strings());
        foreach ([20, 10, 5, 0] as $noise) {
            yield $this->frame->plucks($noise);
        }
        yield Compared::over('thermistor (RTD)', 'IEC 60751:2022, table of Pt100', $this->electric->platinum());
        yield Compared::over('thermistor', 'there and back again, three models', $this->electric->roundTrips());
        yield Compared::over(
            'contact-resistance',
            'heat-up with losses by Runge and Kutta’s method, contact of 0.02 to 1 Ω',
            $this->electric->contacts(),
            '%.2f %%',
        );
        yield Compared::over('wire (warmth)', 'ampacity for 40 K, IEC 60364-5-52 (from memory)', $this->electric->ampacities(), '%.0f %%');
        yield Compared::over('bed-plane', 'planes made up, with their screws', $this->frame->planes());
        yield Compared::over('squareness', 'parallelograms made up', $this->frame->parallelograms());
        yield Compared::over(
            'relay-tune (period)',
            'relay at a lag with dead time, simulated, against its phase',
            $this->motion->relays(),
            '%.1f %%',
        );
        yield Compared::over(
            'gcode (time)',
            'time-optimal speed on a grid of 0.02 mm (Bobrow, Dubowsky and Gibson 1985)',
            $this->motion->files(),
            '%.2f %%',
        );
        yield Compared::over('reorder', 'negative binomial as a mixture of Poissons, by Simpson’s rule', $this->beliefs->demands());
        yield Compared::over('trials (Student’s t)', 'NIST/SEMATECH e-Handbook 1.3.6.7.2', $this->beliefs->quantiles());
        yield $this->beliefs->noise();
    }

    /** How far a pitch is off, and how many are believed, at so many decibels of signal to noise. */
    public function plucks(int $noise): Compared
    {
        return $this->frame->plucks($noise);
    }
}
