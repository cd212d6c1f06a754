<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Which fault leads to which, from what lies behind and what is brought; no fault may lead back to itself. */
final class Causes
{
    /** @var array<string, list<string>> fault => faults it leads to */
    private array $leadTo = [];

    /** @var array<string, true> faults from which no way leads back */
    private array $clear = [];

    /** @param  array<string, Fault>  $faults */
    public function __construct(array $faults)
    {
        foreach ($faults as $fault) {
            foreach ($fault->brings as $brought) {
                $this->leadTo[$fault->code][] = $brought;
            }
            foreach ($fault->behind as $behind) {
                $this->leadTo[$behind][] = $fault->code;
            }
        }
    }

    /** @return list<string> the faults of a circle, the first again at its end; empty when there is none */
    public function circle(): array
    {
        foreach (array_keys($this->leadTo) as $fault) {
            $circle = $this->from($fault, []);
            if ($circle !== []) {
                return $circle;
            }
        }

        return [];
    }

    /**
     * @param  list<string>  $way
     * @return list<string>
     */
    private function from(string $fault, array $way): array
    {
        $met = array_search($fault, $way, true);
        if ($met !== false) {
            return [...array_slice($way, $met), $fault];
        }
        if (isset($this->clear[$fault])) {
            return [];
        }
        foreach ($this->leadTo[$fault] ?? [] as $next) {
            $circle = $this->from($next, [...$way, $fault]);
            if ($circle !== []) {
                return $circle;
            }
        }
        $this->clear[$fault] = true;

        return [];
    }
}
