<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** How many finished jobs had which confirmed fault, by family. As they stood when they were read. */
final readonly class CountedFaults
{
    /** Stands for “any”: the row that counts a family’s jobs. */
    public const ANY = '*';

    /** The row that counts first diagnoses, and how many of them were overturned. */
    public const FIRST = '*first';

    /** @param  array<string, array<string, array{jobs: int, came_back: int}>>  $all  family => fault => */
    public function __construct(private Knowledge $knowledge, private array $all)
    {
    }

    /** @return array{jobs: int, faults: array<string, int>} */
    public function ofFamily(string $family): array
    {
        return $this->read([$family]);
    }

    /**
     * @return array{jobs: int, faults: array<string, int>, exposed: array<string, int>} exposed: jobs on machines that can have
     *   the fault, where not all can
     */
    public function ofShop(): array
    {
        $shop = $this->read(null);
        $jobs = array_map(static fn (array $of): int => $of[self::ANY]['jobs'] ?? 0, $this->all);
        $exposed = [];
        foreach ($this->knowledge->faults as $fault) {
            if ($fault->needs === []) {
                continue;
            }
            $of = 0;
            foreach ($this->knowledge->families as $family) {
                $of += Traits::of($family->traits)->allow($fault->needs) ? ($jobs[$family->code] ?? 0) : 0;
            }
            $exposed[$fault->code] = min($shop['jobs'], max($of, $shop['faults'][$fault->code] ?? 0));
        }

        return [...$shop, 'exposed' => $exposed];
    }

    /** @return array<string, int> fault => jobs in which it was back within the warranty of its repair */
    public function cameBack(?string $family): array
    {
        $back = [];
        foreach ($family === null ? $this->all : [$this->all[$family] ?? []] as $faults) {
            foreach (array_diff_key($faults, [self::ANY => 0, self::FIRST => 0]) as $fault => $counts) {
                $back[$fault] = ($back[$fault] ?? 0) + $counts['came_back'];
            }
        }

        return $back;
    }

    /** @return array{jobs: int, overturned: int} of finished jobs with a diagnosis: of how many the first was overturned */
    public function first(): array
    {
        $first = $this->all[self::ANY][self::FIRST] ?? ['jobs' => 0, 'came_back' => 0];

        return ['jobs' => $first['jobs'], 'overturned' => $first['came_back']];
    }

    /**
     * @param  list<string>|null  $families  null for all
     * @return array{jobs: int, faults: array<string, int>}
     */
    private function read(?array $families): array
    {
        $jobs = 0;
        $faults = [];
        foreach ($families === null ? $this->all : array_intersect_key($this->all, array_flip($families)) as $counts) {
            foreach ($counts as $fault => $of) {
                if ($fault === self::ANY) {
                    $jobs += $of['jobs'];
                } elseif (isset($this->knowledge->faults[$fault])) {
                    $faults[$fault] = ($faults[$fault] ?? 0) + $of['jobs'];
                }
            }
        }

        // jobs of other kinds confirm faults too; there are never more of a fault than jobs
        return ['jobs' => max([$jobs, 0, ...array_values($faults)]), 'faults' => $faults];
    }
}
