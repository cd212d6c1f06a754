<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Looks across the knowledge files: every code must exist, every finding must have a way to be known. */
final readonly class CrossCheck
{
    private function __construct(private Knowledge $knowledge, private Missing $missing)
    {
    }

    /** @return list<Mistake> */
    public static function of(Knowledge $knowledge): array
    {
        $missing = new Missing;
        $check = new self($knowledge, $missing);
        $faults = new FaultCheck($knowledge, $missing);
        $faults->faults();
        $check->checks();
        $check->findings();
        $check->places();
        $check->instruments();
        $check->proofs();
        $check->families();
        $check->guides();
        $check->service();
        if ($missing->mistakes() === []) {
            $faults->told();
        }

        return $missing->mistakes();
    }

    private function checks(): void
    {
        foreach ($this->knowledge->checks as $check) {
            $this->missing->exist('checks.yaml', $check->code, 'yields', $check->yields, $this->knowledge->findings);
            $this->missing->exist('checks.yaml', $check->code, 'not_when', $check->notWhen, $this->knowledge->findings);
            $this->missing->exist('checks.yaml', $check->code, 'only_when', $check->onlyWhen, $this->knowledge->findings);
            $this->missing->exist('checks.yaml', $check->code, 'hazards', $check->hazards, $this->knowledge->hazards);
            if (($check->yields === []) !== $check->byPart) {
                $this->missing->wrong(
                    'checks.yaml',
                    $check->code,
                    'yields',
                    $check->byPart ? 'must be empty: swapping a part settles the fault' : 'must name at least one finding',
                );
            }
            if ($check->reading !== null && array_diff(array_keys($check->reading->limits), $check->yields) !== []) {
                $this->missing->wrong('checks.yaml', $check->code, 'reading.says', 'must be of what the check yields');
            }
        }
    }

    private function findings(): void
    {
        $yielded = [];
        foreach ($this->knowledge->checks as $check) {
            $yielded += array_flip($check->yields);
        }
        foreach ($this->knowledge->findings as $finding) {
            $this->missing->exist('findings.yaml', $finding->code, 'never_with', $finding->neverWith, $this->knowledge->findings);
            if (! $finding->askedAtBookIn && ! isset($yielded[$finding->code])) {
                $this->missing->wrong(
                    'findings.yaml',
                    $finding->code,
                    'asked_at_book_in',
                    'no check yields it, so it must be asked at Book in',
                );
            }
        }
        foreach ($this->knowledge->safetyQuestions as $question) {
            $this->missing->exist('safety.yaml', $question->code, 'finding', [$question->finding], $this->knowledge->findings);
        }
    }

    private function places(): void
    {
        foreach ($this->knowledge->places as $place) {
            $this->missing->exist('places.yaml', $place->code, 'findings', $place->findings, $this->knowledge->findings);
        }
    }

    private function instruments(): void
    {
        foreach ($this->knowledge->instruments as $sheet) {
            $this->missing->exist('instruments.yaml', $sheet->code, 'hazards', $sheet->hazards, $this->knowledge->hazards);
            $this->missing->exist('instruments.yaml', $sheet->code, 'of', array_filter([$sheet->of]), $this->knowledge->instruments);
            $this->missing->exist('instruments.yaml', $sheet->code, 'says', array_keys($sheet->says), $this->knowledge->findings);
            $this->missing->exist(
                'instruments.yaml',
                $sheet->code,
                'keeps.positions',
                $sheet->keeps->parts ?? [],
                $this->knowledge->partClasses,
            );
        }
    }

    private function proofs(): void
    {
        foreach ($this->knowledge->proofs as $proof) {
            $this->missing->exist('proofs.yaml', $proof->code, 'touched', $proof->touched, $this->knowledge->subsystems);
            $this->missing->exist('proofs.yaml', $proof->code, 'mended', $proof->mended, $this->knowledge->faults);
            $this->missing->exist(
                'proofs.yaml',
                $proof->code,
                'fails_as',
                $proof->failsAs === null ? [] : [$proof->failsAs],
                $this->knowledge->findings,
            );
            $this->missing->exist('proofs.yaml', $proof->code, 'fitted', $proof->fitted, $this->knowledge->partClasses);
            if (! $proof->always && ! $proof->anyMend && $proof->fitted === [] && $proof->touched === [] && $proof->mended === []) {
                $this->missing->wrong('proofs.yaml', $proof->code, 'touched', 'nothing ever makes it owed');
            }
        }
    }

    private function guides(): void
    {
        foreach ($this->knowledge->guides as $guide) {
            $this->missing->exist('guides', $guide->code, 'mends', $guide->mends, $this->knowledge->faults);
            $this->missing->exist('guides', $guide->code, 'touches', $guide->touches, $this->knowledge->subsystems);
            $this->missing->exist(
                'guides',
                $guide->code,
                'kit.part',
                array_map(static fn (KitPart $p): string => $p->class, $guide->kit),
                $this->knowledge->partClasses,
            );
            foreach ($guide->steps as $i => $step) {
                $number = $i + 1;
                $this->missing->exist('guides', $guide->code, "steps.{$number}.hazards", $step->hazards, $this->knowledge->hazards);
                $this->missing->exist(
                    'guides',
                    $guide->code,
                    "steps.{$number}.instrument",
                    array_filter([$step->instrument]),
                    $this->knowledge->instruments,
                );
            }
            if ($this->familiesWith($guide->needs) === []) {
                $this->missing->wrong('guides', $guide->code, 'needs', 'no family has these traits');
            }
        }
    }

    private function service(): void
    {
        foreach ($this->knowledge->service as $item) {
            $this->missing->exist('service.yaml', $item->code, 'guide', array_filter([$item->guide]), $this->knowledge->guides);
        }
        foreach ($this->knowledge->wear as $wear) {
            $this->missing->exist('wear.yaml', $wear->partClass, 'code', [$wear->partClass], $this->knowledge->partClasses);
            $this->missing->exist('wear.yaml', $wear->partClass, 'place', [$wear->place], $this->knowledge->places);
            $far = $wear->shape !== null && ($wear->shape < 0.5 || $wear->shape > 10);
            if ($far || ($wear->lifeHours === null) !== ($wear->shape === null)) {
                $this->missing->wrong(
                    'wear.yaml',
                    $wear->partClass,
                    'shape',
                    'must stand from 0.5 to 10 where life_hours stands, and only there',
                );
            }
        }
        $this->missing->exist(
            'prices.yaml',
            '-',
            'class',
            array_map(strval(...), array_keys($this->knowledge->prices)),
            $this->knowledge->partClasses,
        );
        foreach (array_diff_key($this->knowledge->partClasses, $this->knowledge->prices) as $class => $name) {
            $this->missing->wrong('prices.yaml', $class, 'price', "says nothing of what one ({$name}) usually costs");
        }
        foreach ($this->knowledge->stocking as $kept) {
            $this->missing->exist('stocking.yaml', $kept->partClass, 'code', [$kept->partClass], $this->knowledge->partClasses);
        }
    }

    /**
     * @param  array<string, list<string>>  $needs
     * @return list<string>
     */
    private function familiesWith(array $needs): array
    {
        return array_keys(array_filter($this->knowledge->families, static fn (Family $f): bool => Traits::of($f->traits)->allow($needs)));
    }

    private function families(): void
    {
        $letters = [];
        foreach ($this->knowledge->families as $family) {
            foreach ($family->positions as $position) {
                $this->missing->exist(
                    "families/{$family->code}.yaml",
                    $position->code,
                    'subsystem',
                    [$position->subsystem],
                    $this->knowledge->subsystems,
                );
                $this->missing->exist(
                    "families/{$family->code}.yaml",
                    $position->code,
                    'part',
                    [$position->partClass],
                    $this->knowledge->partClasses,
                );
                $this->missing->exist(
                    "families/{$family->code}.yaml",
                    $position->code,
                    'part (wear.yaml says where it sits)',
                    [$position->partClass],
                    $this->knowledge->wear,
                );
            }
            $this->missing->exist(
                "families/{$family->code}.yaml",
                $family->code,
                'sockets',
                array_values($family->sockets),
                $this->knowledge->subsystems,
            );
            $this->missing->exist(
                "families/{$family->code}.yaml",
                $family->code,
                'service',
                array_map(strval(...), array_keys($family->service)),
                $this->knowledge->service,
            );
            // machines that are not known yet share theirs
            if ($family->isUnknown()) {
                continue;
            }
            if (isset($letters[$family->letters])) {
                $this->missing->wrong(
                    "families/{$family->code}.yaml",
                    $family->code,
                    'letters',
                    "are taken by {$letters[$family->letters]}",
                );
            }
            $letters[$family->letters] = $family->code;
        }
    }
}
