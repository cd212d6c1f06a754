<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Looks across the knowledge files: every code must exist, every finding must have a way to be known. */
final class CrossCheck
{
    /** @var list<Mistake> */
    private array $mistakes = [];

    private function __construct(private readonly Knowledge $knowledge)
    {
    }

    /** @return list<Mistake> */
    public static function of(Knowledge $knowledge): array
    {
        $check = new self($knowledge);
        $check->faults();
        $check->checks();
        $check->findings();
        $check->places();
        $check->instruments();
        $check->proofs();
        $check->families();
        $check->guides();
        $check->service();
        if ($check->mistakes === []) {
            $check->told();
        }

        return $check->mistakes;
    }

    private function faults(): void
    {
        foreach ($this->knowledge->faults as $fault) {
            $this->exist('faults', $fault->code, 'shows', array_keys($fault->shows), $this->knowledge->findings);
            $this->exist('faults', $fault->code, 'behind', $fault->behind, $this->knowledge->faults);
            $this->exist('faults', $fault->code, 'brings', $fault->brings, $this->knowledge->faults);
            foreach ($fault->mends as $mend) {
                $this->exist('faults', $fault->code, 'mends.touches', $mend->touches, $this->knowledge->subsystems);
                $this->exist('faults', $fault->code, 'mends.parts', $mend->parts, $this->knowledge->partClasses);
                if ($mend->touches === []) {
                    $this->wrong('faults', $fault->code, 'mends.touches', 'must name what has to be proved again');
                }
            }
            if ($fault->sisters !== null) {
                $this->exist('faults', $fault->code, 'sisters.look', [$fault->sisters->look], $this->knowledge->checks);
                $this->exist('faults', $fault->code, 'sisters.part', array_filter([$fault->sisters->part]), $this->knowledge->partClasses);
            }
            $this->settling($fault);
            if ($fault->shows === []) {
                $this->wrong('faults', $fault->code, 'shows', 'must name at least one finding');
            }
        }
    }

    /** A settling look exists, shows something of the fault, and can be made where the fault can be. */
    private function settling(Fault $fault): void
    {
        $this->exist('faults', $fault->code, 'settle', $fault->settle, $this->knowledge->checks);
        foreach (array_intersect($fault->settle, array_keys($this->knowledge->checks)) as $look) {
            if (array_intersect_key(array_flip($this->knowledge->checks[$look]->yields), $fault->shows) === []) {
                $this->wrong('faults', $fault->code, 'settle', "“{$look}” shows nothing of it");
            }
        }
        if ($fault->settle === [] && ($fault->danger || $fault->qualified !== null)) {
            $this->wrong(
                'faults',
                $fault->code,
                'settle',
                'must name a look: it is dangerous or for qualified people only, and is never mended on a guess',
            );
        }
    }

    /** Every fault has a check that tells it, and none leads back to itself. */
    private function told(): void
    {
        $circle = (new Causes($this->knowledge->faults))->circle();
        if ($circle !== []) {
            $this->wrong('faults', $circle[0], 'brings', 'goes in a circle with what lies behind: '.implode(' → ', $circle));
        }
        $telling = new Telling($this->knowledge);
        foreach ($this->knowledge->faults as $fault) {
            [$check, $factor] = $telling->best($fault);
            if ($factor < Telling::FIVEFOLD) {
                $this->wrong(
                    'faults',
                    $fault->code,
                    'shows',
                    sprintf(
                        'no check moves its odds fivefold; %s',
                        $check === null ? 'none bears on it' : sprintf('the most telling one, %s, moves them %.1f-fold', $check, $factor),
                    ),
                );
            }
        }
    }

    private function checks(): void
    {
        foreach ($this->knowledge->checks as $check) {
            $this->exist('checks.yaml', $check->code, 'yields', $check->yields, $this->knowledge->findings);
            $this->exist('checks.yaml', $check->code, 'not_when', $check->notWhen, $this->knowledge->findings);
            $this->exist('checks.yaml', $check->code, 'only_when', $check->onlyWhen, $this->knowledge->findings);
            $this->exist('checks.yaml', $check->code, 'hazards', $check->hazards, $this->knowledge->hazards);
            if (($check->yields === []) !== $check->byPart) {
                $this->wrong(
                    'checks.yaml',
                    $check->code,
                    'yields',
                    $check->byPart ? 'must be empty: swapping a part settles the fault' : 'must name at least one finding',
                );
            }
            if ($check->reading !== null && array_diff(array_keys($check->reading->limits), $check->yields) !== []) {
                $this->wrong('checks.yaml', $check->code, 'reading.says', 'must be of what the check yields');
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
            $this->exist('findings.yaml', $finding->code, 'never_with', $finding->neverWith, $this->knowledge->findings);
            if (! $finding->askedAtBookIn && ! isset($yielded[$finding->code])) {
                $this->wrong('findings.yaml', $finding->code, 'asked_at_book_in', 'no check yields it, so it must be asked at Book in');
            }
        }
        foreach ($this->knowledge->safetyQuestions as $question) {
            $this->exist('safety.yaml', $question->code, 'finding', [$question->finding], $this->knowledge->findings);
        }
    }

    private function places(): void
    {
        foreach ($this->knowledge->places as $place) {
            $this->exist('places.yaml', $place->code, 'findings', $place->findings, $this->knowledge->findings);
        }
    }

    private function instruments(): void
    {
        foreach ($this->knowledge->instruments as $sheet) {
            $this->exist('instruments.yaml', $sheet->code, 'hazards', $sheet->hazards, $this->knowledge->hazards);
            $this->exist('instruments.yaml', $sheet->code, 'of', array_filter([$sheet->of]), $this->knowledge->instruments);
            $this->exist('instruments.yaml', $sheet->code, 'says', array_keys($sheet->says), $this->knowledge->findings);
            $this->exist('instruments.yaml', $sheet->code, 'keeps.positions', $sheet->keeps->parts ?? [], $this->knowledge->partClasses);
        }
    }

    private function proofs(): void
    {
        foreach ($this->knowledge->proofs as $proof) {
            $this->exist('proofs.yaml', $proof->code, 'touched', $proof->touched, $this->knowledge->subsystems);
            $this->exist('proofs.yaml', $proof->code, 'mended', $proof->mended, $this->knowledge->faults);
            $this->exist(
                'proofs.yaml',
                $proof->code,
                'fails_as',
                $proof->failsAs === null ? [] : [$proof->failsAs],
                $this->knowledge->findings,
            );
            $this->exist('proofs.yaml', $proof->code, 'fitted', $proof->fitted, $this->knowledge->partClasses);
            if (! $proof->always && ! $proof->anyMend && $proof->fitted === [] && $proof->touched === [] && $proof->mended === []) {
                $this->wrong('proofs.yaml', $proof->code, 'touched', 'nothing ever makes it owed');
            }
        }
    }

    private function families(): void
    {
        $letters = [];
        foreach ($this->knowledge->families as $family) {
            foreach ($family->positions as $position) {
                $this->exist(
                    "families/{$family->code}.yaml",
                    $position->code,
                    'subsystem',
                    [$position->subsystem],
                    $this->knowledge->subsystems,
                );
                $this->exist(
                    "families/{$family->code}.yaml",
                    $position->code,
                    'part',
                    [$position->partClass],
                    $this->knowledge->partClasses,
                );
                $this->exist(
                    "families/{$family->code}.yaml",
                    $position->code,
                    'part (wear.yaml says where it sits)',
                    [$position->partClass],
                    $this->knowledge->wear,
                );
            }
            $this->exist(
                "families/{$family->code}.yaml",
                $family->code,
                'sockets',
                array_values($family->sockets),
                $this->knowledge->subsystems,
            );
            $this->exist(
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
                $this->wrong("families/{$family->code}.yaml", $family->code, 'letters', "are taken by {$letters[$family->letters]}");
            }
            $letters[$family->letters] = $family->code;
        }
    }

    private function guides(): void
    {
        foreach ($this->knowledge->guides as $guide) {
            $this->exist('guides', $guide->code, 'mends', $guide->mends, $this->knowledge->faults);
            $this->exist('guides', $guide->code, 'touches', $guide->touches, $this->knowledge->subsystems);
            $this->exist(
                'guides',
                $guide->code,
                'kit.part',
                array_map(static fn (KitPart $p): string => $p->class, $guide->kit),
                $this->knowledge->partClasses,
            );
            foreach ($guide->steps as $i => $step) {
                $number = $i + 1;
                $this->exist('guides', $guide->code, "steps.{$number}.hazards", $step->hazards, $this->knowledge->hazards);
                $this->exist(
                    'guides',
                    $guide->code,
                    "steps.{$number}.instrument",
                    array_filter([$step->instrument]),
                    $this->knowledge->instruments,
                );
            }
            if ($this->familiesWith($guide->needs) === []) {
                $this->wrong('guides', $guide->code, 'needs', 'no family has these traits');
            }
        }
    }

    private function service(): void
    {
        foreach ($this->knowledge->service as $item) {
            $this->exist('service.yaml', $item->code, 'guide', array_filter([$item->guide]), $this->knowledge->guides);
        }
        foreach ($this->knowledge->wear as $wear) {
            $this->exist('wear.yaml', $wear->partClass, 'code', [$wear->partClass], $this->knowledge->partClasses);
            $this->exist('wear.yaml', $wear->partClass, 'place', [$wear->place], $this->knowledge->places);
        }
        $this->exist(
            'prices.yaml',
            '-',
            'class',
            array_map(strval(...), array_keys($this->knowledge->prices)),
            $this->knowledge->partClasses,
        );
        foreach (array_diff_key($this->knowledge->partClasses, $this->knowledge->prices) as $class => $name) {
            $this->wrong('prices.yaml', $class, 'price', "says nothing of what one ({$name}) usually costs");
        }
        foreach ($this->knowledge->stocking as $kept) {
            $this->exist('stocking.yaml', $kept->partClass, 'code', [$kept->partClass], $this->knowledge->partClasses);
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

    /**
     * @param  list<string>  $codes
     * @param  array<string, mixed>  $known
     */
    private function exist(string $file, string $entry, string $field, array $codes, array $known): void
    {
        foreach ($codes as $code) {
            if (! isset($known[$code])) {
                $this->wrong($file, $entry, $field, "there is no “{$code}”");
            }
        }
    }

    private function wrong(string $file, string $entry, string $field, string $message): void
    {
        $this->mistakes[] = new Mistake($file, $entry, $field, $message);
    }
}
