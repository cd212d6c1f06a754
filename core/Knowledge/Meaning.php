<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** When an instrument’s result stands for a finding: by its verdict, its state, or a value beyond a limit. */
final readonly class Meaning
{
    /**
     * @param  list<string>  $verdicts
     * @param  list<string>  $states
     * @param  string|null  $key  of the result the limit is for
     * @param  list<string>  $unless  verdicts that settle nothing
     */
    public function __construct(
        public array $verdicts,
        public array $states,
        public ?string $key,
        public ?Limit $limit,
        public array $unless,
    ) {
    }

    /**
     * @param  array<string, mixed>  $result
     * @return bool|null null when the result does not settle it
     */
    public function present(array $result): ?bool
    {
        $verdict = $result['verdict'] ?? null;
        if (in_array($verdict, $this->unless, true)) {
            return null;
        }
        if ($this->key !== null && $this->limit !== null) {
            $value = $result[$this->key] ?? null;

            return is_int($value) || is_float($value) ? $this->limit->reached((float) $value) : null;
        }
        if ($this->states !== []) {
            return isset($result['state']) ? in_array($result['state'], $this->states, true) : null;
        }

        return $verdict === null ? null : in_array($verdict, $this->verdicts, true);
    }
}
