<?php

declare(strict_types=1);

namespace App\Knowledge;

use OddBench\Intake\Began;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use OddBench\Knowledge\SafetyQuestion;

final readonly class KnowledgeController
{
    public function show(Knowledge $knowledge): KnowledgeView
    {
        $began = [];
        foreach (Began::cases() as $case) {
            $began[$case->value] = $case->words();
        }

        return new KnowledgeView(
            findings: array_values(array_map(static fn (Finding $f): FindingNameView => new FindingNameView($f->code, $f->name, $f->group, $f->redTag), $knowledge->findings)),
            faults: NamedView::all(array_map(static fn ($fault): string => $fault->name, $knowledge->faults)),
            poweredChecks: NamedView::all(array_map(static fn (Check $c): string => $c->name, array_filter($knowledge->checks, static fn (Check $c): bool => $c->state->needsPower()))),
            safetyQuestions: NamedView::all(array_map(static fn (SafetyQuestion $q): string => $q->ask, $knowledge->safetyQuestions)),
            families: array_values(array_map(static fn (Family $f): FamilyView => new FamilyView($f->code, $f->name, $f->letters, NamedView::all(array_map(static fn (Position $p): string => $p->name, $f->positions))), $knowledge->families)),
            subsystems: NamedView::all($knowledge->subsystems),
            partClasses: NamedView::all($knowledge->partClasses),
            began: NamedView::all($began),
        );
    }
}
