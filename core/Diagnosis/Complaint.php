<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\SafetyQuestion;
use OddBench\Knowledge\Traits;

/**
 * The findings that a customer’s words may mean, and the safety questions they raise. It proposes; a person puts down.
 */
final readonly class Complaint implements Computation
{
    /** So many findings are offered. */
    public const OFFERED = 5;

    /** One that fits less than this share of the best is noise. */
    private const AS_GOOD = 0.3;

    private const LONGEST = 4000;

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function name(): string
    {
        return 'complaint';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $text = $fields->text('text');
        $traits = Traits::of($fields->map('traits'));
        $fields->done();

        return [
            'findings' => $this->findings($text, $traits),
            'safety' => $this->safety($text),
        ];
    }

    /** @return list<array{code: string, score: float, words: list<string>}> best first */
    public function findings(string $text, Traits $traits): array
    {
        $said = Said::of(mb_substr($text, 0, self::LONGEST));
        $index = $this->index($traits);
        $found = [];
        $best = 0.0;
        foreach ($index->scores($said) as $code => $score) {
            $best = max($best, $score);
            if (count($found) < self::OFFERED && $score >= self::AS_GOOD * $best) {
                $found[] = ['code' => $code, 'score' => $score, 'words' => $index->words($said, $code)];
            }
        }

        return $found;
    }

    /**
     * @return list<array{question: string, ask: string, finding: string, words: list<string>}> raised by a word of danger,
     *   whatever else is said
     */
    public function safety(string $text): array
    {
        $said = Said::of(mb_substr($text, 0, self::LONGEST));
        $raised = [];
        foreach ($this->knowledge->safetyQuestions as $question) {
            $words = $this->dangerWords($question, $said);
            if ($words !== []) {
                $raised[] = ['question' => $question->code, 'ask' => $question->ask, 'finding' => $question->finding, 'words' => $words];
            }
        }

        return $raised;
    }

    /** @return list<string> */
    private function dangerWords(SafetyQuestion $question, Said $said): array
    {
        $stems = array_fill_keys(array_map(Stem::of(...), $question->words), true);
        $words = [];
        foreach ($said->words as [$stem, $word]) {
            if (isset($stems[$stem])) {
                $words[$word] = true;
            }
        }

        return array_map(strval(...), array_keys($words));
    }

    private function index(Traits $traits): PhraseIndex
    {
        $said = [];
        foreach ($this->knowledge->findings as $finding) {
            if ($finding->said !== [] && $this->canBe($finding, $traits)) {
                $said[$finding->code] = [$finding->name, ...$finding->said];
            }
        }

        return new PhraseIndex($said, $this->knowledge->alike);
    }

    /** Whether such a machine can have it: it has a place for it, and some fault it can have shows it. */
    private function canBe(Finding $finding, Traits $traits): bool
    {
        if (! $this->knowledge->hasPlaceFor($finding->code, $traits)) {
            return false;
        }
        foreach ($this->knowledge->faults as $fault) {
            if (isset($fault->shows[$finding->code]) && $traits->allow($fault->needs)) {
                return true;
            }
        }

        return false;
    }
}
