<?php

declare(strict_types=1);

namespace OddBench\Proof;

use OddBench\Knowledge\Stage;

/** The proofs a repair owes, stage by stage; a stage opens only when the ones before have passed. */
final readonly class Plan
{
    /** @param  list<Owed>  $owed in the order of their stages */
    public function __construct(public array $owed)
    {
    }

    /** @return list<Stage> those that have something to do, in order */
    public function stages(): array
    {
        $stages = [];
        foreach ($this->owed as $owed) {
            $stages[$owed->proof->stage->value] = $owed->proof->stage;
        }

        return array_values($stages);
    }

    /** @return list<Owed> */
    public function inStage(Stage $stage): array
    {
        return array_values(array_filter($this->owed, static fn (Owed $o): bool => $o->proof->stage === $stage));
    }

    /** What is owed of this proof; nothing when it is not owed. */
    public function find(string $code): ?Owed
    {
        foreach ($this->owed as $owed) {
            if ($owed->proof->code === $code) {
                return $owed;
            }
        }

        return null;
    }

    /**
     * The stage that is open now.
     *
     * @param  array<string, bool>  $passed  proof code => passed, for those that were done
     * @return Stage|null nothing when every proof has passed
     */
    public function openStage(array $passed): ?Stage
    {
        foreach ($this->owed as $owed) {
            if (! ($passed[$owed->proof->code] ?? false)) {
                return $owed->proof->stage;
            }
        }

        return null;
    }

    /**
     * @param  array<string, bool>  $passed
     * @return list<Owed> what has not passed yet
     */
    public function missing(array $passed): array
    {
        return array_values(array_filter($this->owed, static fn (Owed $o): bool => ! ($passed[$o->proof->code] ?? false)));
    }
}
