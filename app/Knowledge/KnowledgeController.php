<?php

declare(strict_types=1);

namespace App\Knowledge;

use OddBench\Intake\Began;
use OddBench\Knowledge\Accessory;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Place;
use OddBench\Knowledge\Position;
use OddBench\Knowledge\SafetyQuestion;
use OddBench\Knowledge\ServiceItem;
use OddBench\Knowledge\Traits;

final readonly class KnowledgeController
{
    public function show(Knowledge $knowledge): KnowledgeView
    {
        $began = [];
        foreach (Began::cases() as $case) {
            $began[$case->value] = $case->words();
        }

        return new KnowledgeView(
            findings: array_values(array_map(
                static fn (Finding $f): FindingNameView => new FindingNameView($f->code, $f->name, $f->group, $f->redTag),
                $knowledge->findings,
            )),
            faults: NamedView::all(array_map(static fn ($fault): string => $fault->name, $knowledge->faults)),
            poweredChecks: NamedView::all(array_map(
                static fn (Check $c): string => $c->name,
                array_filter($knowledge->checks, static fn (Check $c): bool => $c->state->needsPower()),
            )),
            safetyQuestions: array_values(array_map(
                static fn (SafetyQuestion $q): SafetyQuestionView => new SafetyQuestionView($q->code, $q->ask, $q->measured),
                $knowledge->safetyQuestions,
            )),
            families: array_values(array_map(static fn (Family $f): FamilyView => self::family($f, $knowledge), $knowledge->families)),
            subsystems: NamedView::all($knowledge->subsystems),
            partClasses: NamedView::all($knowledge->partClasses),
            began: NamedView::all($began),
            places: array_values(array_map(
                static fn (Place $p): PlaceView => new PlaceView($p->code, $p->name, $p->findings),
                $knowledge->places,
            )),
            settings: NamedView::all($knowledge->settings),
            accessories: NamedView::all(array_map(static fn (Accessory $a): string => $a->name, $knowledge->accessories)),
            service: NamedView::all(array_map(static fn (ServiceItem $item): string => $item->name, $knowledge->service)),
            traits: Traits::KNOWN,
        );
    }

    private static function family(Family $family, Knowledge $knowledge): FamilyView
    {
        $traits = Traits::of($family->traits);

        return new FamilyView(
            $family->code, $family->name, $family->letters,
            NamedView::all(array_map(static fn (Position $p): string => $p->name, $family->positions)),
            array_map(static fn (Position $p): string => $p->partClass, $family->positions),
            $family->traits,
            array_keys(array_filter($knowledge->places, static fn (Place $p): bool => $traits->allow($p->needs))),
            $family->starts,
            array_map(strval(...), array_keys($family->sockets)),
            array_keys(array_filter($knowledge->accessories, static fn (Accessory $a): bool => $traits->allow($a->needs))),
            $family->isUnknown(),
        );
    }
}
