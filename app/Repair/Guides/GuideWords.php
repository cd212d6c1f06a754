<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Stock\Kits\KitQuery;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\GuideStep;
use OddBench\Knowledge\KitPart;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\TakenOff as OffInGuide;
use OddBench\Knowledge\Traits;
use OddBench\Proof\Owed;
use OddBench\Proof\ProofPlan;

/** Puts guides into words. */
final readonly class GuideWords
{
    public function __construct(private Knowledge $knowledge, private KitQuery $kit)
    {
    }

    public function guide(Guide $guide, GuideLineView $line): GuideView
    {
        return new GuideView(
            guide: $line,
            state: $guide->state,
            mends: array_map($this->knowledge->faultName(...), $guide->mends),
            tools: $guide->tools,
            kit: array_map(
                fn (KitPart $p): KitNeedView => new KitNeedView(
                    $this->knowledge->partClasses[$p->class] ?? $p->class,
                    $p->count,
                    $p->ifNeeded,
                    $p->school,
                ),
                $guide->kit,
            ),
            kits: $this->kits($guide),
            touches: array_map(fn (string $s): string => $this->knowledge->subsystems[$s] ?? $s, $guide->touches),
            proofs: $this->proofs($guide),
            steps: $this->steps($guide, null, true),
        );
    }

    /** @return list<GuideStepView> those of one way, or of every way */
    public function steps(Guide $guide, ?string $school, bool $everyWay = false): array
    {
        $steps = $everyWay ? array_combine(range(1, count($guide->steps)), $guide->steps) : $guide->stepsOf($school);

        return array_map(fn (int $number, GuideStep $s): GuideStepView => new GuideStepView(
            $number, $s->do, $s->power->words(), $s->heat->words(), $s->powerChanges, $s->heatChanges, $s->target, $s->caution,
            array_map(fn (string $h): string => $this->knowledge->hazards[$h] ?? $h, $s->hazards),
            $s->timer?->words(),
            $s->timer?->name,
            $s->school,
            $s->part === null ? null : ($this->knowledge->partClasses[$s->part] ?? $s->part),
            $s->instrument,
            $s->off === null ? null : self::off($s->off),
        ), array_keys($steps), array_values($steps));
    }

    /** @return list<GuideKitView> */
    private function kits(Guide $guide): array
    {
        $kits = [];
        foreach ($this->knowledge->families as $family) {
            if ($guide->kit === [] || ! Traits::of($family->traits)->allow($guide->needs)) {
                continue;
            }
            foreach ($guide->schools() === [] ? [null] : $guide->schools() as $school) {
                $kit = $this->kit->against($family, $guide, $school);
                if ($kit->times !== null) {
                    $kits[] = new GuideKitView($family->name, $school, $kit->times, $kit->shortest);
                }
            }
        }

        return $kits;
    }

    /** @return list<string> names of the families it is for */
    public function families(Guide $guide): array
    {
        return array_values(array_map(
            static fn (Family $f): string => $f->name,
            array_filter($this->knowledge->families, static fn (Family $f): bool => Traits::of($f->traits)->allow($guide->needs)),
        ));
    }

    /** @return list<string> what it owes on a machine it is for; one that has everything is taken */
    private function proofs(Guide $guide): array
    {
        $names = [];
        foreach ($this->knowledge->families as $family) {
            $traits = Traits::of($family->traits);
            if ($traits->allow($guide->needs)) {
                $names = [
                    ...$names,
                    ...array_map(
                        static fn (Owed $o): string => $o->proof->name,
                        (new ProofPlan($this->knowledge))->for($traits, $guide->touches, $guide->mends)->owed,
                    ),
                ];
            }
        }

        return array_values(array_unique($names));
    }

    private static function off(OffInGuide $off): string
    {
        return implode(
            '; ',
            array_filter([
                $off->what.($off->fasteners === '' ? '' : ", {$off->fasteners}"),
                $off->sockets === [] ? '' : 'unplug '.implode(', ', $off->sockets),
            ]),
        );
    }
}
