<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Diagnosis\Session;
use OddBench\Knowledge\Knowledge;

/**
 * The staged tests of a machine on offer, proposed from what its seller says: it moves, it prints, its feeder feeds. Each takes its
 * minutes and the mends it will probably need, and passes unless something there cannot be mended (common practice; a start to be
 * corrected by whoever knows the machine).
 */
final readonly class StagedTests
{
    /** Each with the areas of faults it shows, and minutes of hands (from memory). */
    private const STAGES = [
        ['Moves by hand, homes and heats', ['Motion', 'Heat and electrics'], 20.0],
        ['Prints from its own storage', ['Extrusion and hot end', 'First layer and bed', 'Material'], 25.0],
        ['The same through every slot', ['Feeder units and canisters'], 30.0],
    ];

    /** Of faults that are there so many turn out past mending for this money (from memory). */
    private const PAST_MENDING = 0.15;

    /** Mended but for its feeder it brings so much of what it brings whole (from memory). */
    private const SINGLE_SHARE = 0.7;

    /** What it brings mended without its feeder, proposed from what it brings whole; minor units. */
    public static function single(int $sellsAt): int
    {
        return Exact::whole(self::SINGLE_SHARE * $sellsAt);
    }

    /**
     * @param  int  $split  what it brings in parts, minor units
     * @param  int|null  $single  what it brings mended without its feeder; null where it has none
     * @return list<BidStage>
     */
    public static function of(Session $session, Knowledge $knowledge, float $minuteCosts, int $split, ?int $single): array
    {
        $stages = [];
        foreach (self::STAGES as [$name, $areas, $minutes]) {
            $feeder = $areas === ['Feeder units and canisters'];
            if ($feeder && $single === null) {
                continue;
            }
            $cost = (float) Exact::hands($minutes, $minuteCosts);
            $passes = 1.0;
            foreach ($session->suspects() as $suspect) {
                $fault = $knowledge->faults[$suspect->code];
                if (in_array($fault->area, $areas, true)) {
                    $cost += $suspect->probability * $session->mending()->of($fault);
                    $passes *= 1 - self::PAST_MENDING * $suspect->probability;
                }
            }
            $stages[] = new BidStage(
                $name,
                Exact::whole($cost),
                round($passes, 2),
                $feeder ? (int) $single : $split,
                $feeder ? 'single-material' : 'split',
            );
        }

        return $stages;
    }
}
