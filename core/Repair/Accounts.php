<?php

declare(strict_types=1);

namespace OddBench\Repair;

use OddBench\Input\InputError;
use OddBench\Instruments\Fastener;

/** What came out against what went in: leftovers and gaps by name, substitutes judged, every plug and part accounted for. */
final class Accounts
{
    /** @var array<string, array{out: int, in: int, why: list<string>, steps: list<string>}> size => */
    private array $sizes = [];

    /** @var list<Difference> */
    private array $others = [];

    /** @var list<Substitute> */
    private array $substitutes = [];

    private function __construct()
    {
    }

    /**
     * @param  list<TeardownStep>  $steps
     * @param  array<array-key, StepBack>  $back  by step
     */
    public static function of(array $steps, array $back): self
    {
        $accounts = new self;
        foreach ($steps as $step) {
            $done = $back[$step->id] ?? null;
            $accounts->fasteners($step, $done);
            $accounts->connectors($step, $done);
            $accounts->parts($step, $done);
            if ($done !== null && ! $done->finished) {
                $accounts->others[] = new Difference(
                    'pass',
                    "second pass of “{$step->off}”",
                    1,
                    0,
                    'It is on after the first pass only: '.($step->secondPass ?? 'tighten it').'.',
                    [$step->id],
                );
            }
        }

        return $accounts;
    }

    /** @return list<Difference> none when everything is back */
    public function differences(): array
    {
        $differences = [];
        foreach ($this->sizes as $size => $account) {
            if ($account['why'] !== []) {
                $differences[] = new Difference(
                    'fastener',
                    $size,
                    $account['out'],
                    $account['in'],
                    implode(' ', $account['why']),
                    array_values(array_unique($account['steps'])),
                );
            }
        }

        return [...$differences, ...$this->others];
    }

    /** @return list<Substitute> */
    public function substitutes(): array
    {
        return $this->substitutes;
    }

    private function fasteners(TeardownStep $step, ?StepBack $done): void
    {
        $in = $done->fasteners ?? [];
        $short = [];
        $over = [];
        foreach ($step->fasteners as $out) {
            $size = $out->size->name;
            $went = $in[$size] ?? 0;
            $this->book($size, $out->count, $went);
            if ($went < $out->count) {
                $short[$size] = $out->count - $went;
            } elseif ($went > $out->count && $went - $out->count > $out->missing) {
                $over[$size] = $went - $out->count - $out->missing;
            }
        }
        foreach (array_diff_key($in, $step->places()) as $size => $count) {
            $this->book($size, 0, $count);
            $over[$size] = $count;
        }
        foreach ($short as $size => $count) {
            $this->gap($step, $step->out($size), $count, $done === null, $over);
        }
        foreach (array_filter($over) as $size => $count) {
            $this->why(
                $size,
                $step,
                $step->fasteners === [] || array_sum($step->places()) === 0
                    ? "{$count} went in at “{$step->off}”, where none came out."
                    : "{$count} more went in at “{$step->off}” than came out.",
            );
        }
    }

    /** @param  array<string, int>  $over  sizes that went in without having come out here; what stands in is taken off it */
    private function gap(TeardownStep $step, ?FastenersOut $out, int $count, bool $untouched, array &$over): void
    {
        if ($out === null) {
            return;
        }
        $size = $out->size->name;
        if ($untouched) {
            $this->why($size, $step, "“{$step->off}” is not back yet ({$count}).");

            return;
        }
        foreach ($over as $fitted => $many) {
            $stands = min($many, $count);
            $judged = $stands > 0 ? $this->judge($step, $out, $fitted) : null;
            if ($judged === null) {
                continue;
            }
            $over[$fitted] -= $stands;
            $count -= $stands;
            $this->substitutes[] = $judged;
            if (! $judged->safe) {
                $this->why(
                    $size,
                    $step,
                    "At “{$step->off}” {$stands} {$fitted} ".($stands === 1 ? 'stands' : 'stand')." in: {$judged->because}",
                );
            }
        }
        if ($count > 0) {
            $left = $count === 1 ? 'one is left in the tray or lost' : "{$count} are left in the tray or lost";
            $this->why($size, $step, "“{$step->off}” is {$count} short: {$left}.");
        }
    }

    /** @return Substitute|null nothing when they are not of a kind at all */
    private function judge(TeardownStep $step, FastenersOut $out, string $fitted): ?Substitute
    {
        $in = FastenerSize::read($fitted);
        if ($in?->screw === null || $out->size->screw === null) {
            return null;
        }
        $asked = [
            'length_mm' => $in->screw->lengthMm,
            'diameter_mm' => $in->screw->diameterMm,
            'head' => $in->judgedHead(),
            'replaces' => trim("{$out->size->screw->designation()} {$out->size->judgedHead()}"),
            'into' => $out->into,
            'engagement_mm' => $out->engagementMm,
            'room_mm' => $out->roomMm,
        ];
        try {
            $judged = (new Fastener)->compute($asked);
        } catch (InputError $e) {
            return new Substitute($step->id, $out->size->name, $fitted, false, $e->getMessage());
        }

        return new Substitute(
            $step->id,
            $out->size->name,
            $fitted,
            $judged['safe'] === true,
            is_string($judged['because'] ?? null) ? $judged['because'] : '',
        );
    }

    private function connectors(TeardownStep $step, ?StepBack $done): void
    {
        foreach (array_diff($step->connectors, $done->connectors ?? []) as $socket) {
            $this->others[] = new Difference(
                'connector',
                $socket,
                1,
                0,
                $done === null
                    ? "Unplugged at “{$step->off}”, which is not back yet."
                    : "“{$step->off}” is back, but nobody said that its plug is in {$socket} again.",
                [$step->id],
            );
        }
    }

    private function parts(TeardownStep $step, ?StepBack $done): void
    {
        foreach (array_diff($step->parts, array_map(strval(...), array_keys($done->parts ?? []))) as $part) {
            $this->others[] = new Difference(
                'part',
                $part,
                1,
                0,
                $done === null
                    ? "Taken out at “{$step->off}”, which is not back yet."
                    : "Taken out at “{$step->off}”: put back, a new one fitted, or written off? Nobody said.",
                [$step->id],
            );
        }
    }

    private function book(string $size, int $out, int $in): void
    {
        $this->sizes[$size] ??= ['out' => 0, 'in' => 0, 'why' => [], 'steps' => []];
        $this->sizes[$size]['out'] += $out;
        $this->sizes[$size]['in'] += $in;
    }

    private function why(string $size, TeardownStep $step, string $why): void
    {
        $this->sizes[$size] ??= ['out' => 0, 'in' => 0, 'why' => [], 'steps' => []];
        $this->sizes[$size]['why'][] = $why;
        $this->sizes[$size]['steps'][] = $step->id;
    }
}
