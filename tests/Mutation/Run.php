<?php

declare(strict_types=1);

namespace Tests\Mutation;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Makes the changes one by one, runs the tests that run the changed line, and says which changes nobody noticed. */
final class Run
{
    /** No change is tried with tests that take longer than this together. */
    private const MOST_SECONDS = 20.0;

    public function __construct(
        private readonly string $root,
        private readonly Covered $covered,
        private readonly string $work,
        private readonly int $atOnce,
    ) {
    }

    /**
     * @param  list<string>  $files  from the root on
     * @param  int|null  $sample  so many of the changes, drawn; null for all
     * @return array{killed: int, survived: list<Mutant>, uncovered: list<Mutant>}
     */
    public function over(array $files, ?int $sample, int $seed): array
    {
        $mutants = [];
        foreach ($files as $file) {
            array_push($mutants, ...Mutator::of($file, (string) file_get_contents("{$this->root}/{$file}")));
        }
        fprintf(STDERR, "%d changes in %d files\n", count($mutants), count($files));
        if ($sample !== null && $sample < count($mutants)) {
            $random = new Randomizer(new Mt19937($seed));
            $mutants = array_map(static fn (int|string $key): Mutant => $mutants[$key], $random->pickArrayKeys($mutants, $sample));
        }
        $killed = 0;
        $survived = $uncovered = $running = [];
        while ($mutants !== [] || $running !== []) {
            while ($mutants !== [] && count($running) < $this->atOnce) {
                $mutant = array_shift($mutants);
                $tests = $this->covered->tests($mutant->file, $mutant->line, self::MOST_SECONDS);
                if ($tests === []) {
                    $uncovered[] = $mutant;

                    continue;
                }
                $running[] = [
                    $mutant,
                    new Trial($this->root, $this->work, $mutant, $tests, min(90, 20 + 8 * $this->covered->seconds($tests))),
                ];
            }
            foreach ($running as $i => [$mutant, $trial]) {
                $noticed = $trial->noticed();
                if ($noticed !== null) {
                    unset($running[$i]);
                    $noticed ? $killed++ : $survived[] = $mutant;
                    fwrite(STDERR, $noticed ? '.' : "\nnobody noticed: {$mutant->text()}\n");
                }
            }
            usleep(5_000);
        }

        return ['killed' => $killed, 'survived' => $survived, 'uncovered' => $uncovered];
    }
}
