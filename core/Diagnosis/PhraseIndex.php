<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * How well what somebody says fits what others said of each finding: Okapi BM25 over the phrases of a finding as one
 * document (Robertson and Zaragoza 2009, The probabilistic relevance framework), raised by how much of one single phrase
 * is covered. A word nobody ever said counts as the nearest one that differs by a letter.
 */
final readonly class PhraseIndex
{
    /** The usual constants of BM25: how soon repeating a word stops counting, and how far length is corrected for. */
    private const K1 = 1.2;

    private const B = 0.5;

    /** A misspelt word counts a little less. */
    private const SLIP = 0.8;

    /** How much the fit of one clause adds to that of the whole. */
    private const CLAUSE = 1.0;

    /** Nor does another word for the same. */
    private const MEANT = 1.0;

    /** @var array<string, array<string, int>> finding => term => how often */
    private array $documents;

    /** @var array<string, list<array<string, true>>> finding => terms of each phrase */
    private array $phrases;

    /** @var array<string, float> term => how telling it is */
    private array $telling;

    private float $usualLength;

    /** @var array<string, list<string>> stem => the names of what it may mean */
    private array $means;

    /**
     * @param  array<string, list<string>>  $said  finding code => phrases
     * @param  array<string, list<string>>  $alike  name => words that mean the same
     */
    public function __construct(array $said, array $alike = [])
    {
        $means = [];
        foreach ($alike as $name => $words) {
            foreach ($words as $word) {
                $means[Stem::of($word)][] = "~{$name}";
            }
        }
        $this->means = array_map(static fn (array $names): array => array_values(array_unique($names)), $means);
        $documents = $phrases = $in = [];
        foreach ($said as $code => $of) {
            $documents[$code] = [];
            foreach ($of as $phrase) {
                $words = Said::of($phrase);
                $terms = [...$words->terms(), ...$this->meanings($words)];
                $phrases[$code][] = array_fill_keys($terms, true);
                foreach ($terms as $term) {
                    $documents[$code][$term] = ($documents[$code][$term] ?? 0) + 1;
                }
            }
            foreach (array_keys($documents[$code]) as $term) {
                $in[$term] = ($in[$term] ?? 0) + 1;
            }
        }
        $all = count($documents);
        $this->documents = $documents;
        $this->phrases = $phrases;
        $this->telling = array_map(static fn (int $n): float => log(1 + ($all - $n + 0.5) / ($n + 0.5)), $in);
        $this->usualLength = $all === 0 ? 1.0 : max(1.0, array_sum(array_map(array_sum(...), $documents)) / $all);
    }

    /**
     * @return array<string, float> finding code => score, above 0, best first
     */
    public function scores(Said $text): array
    {
        $scores = $this->fits($text);
        $most = $scores === [] ? 1.0 : max($scores);
        $all = array_map(static fn (float $score): float => $score / $most, $scores);
        // each clause may tell of something of its own, however much the others say
        foreach ($text->clauses as $clause) {
            $own = $this->fits($clause);
            $best = $own === [] ? 1.0 : max($own);
            foreach ($own as $code => $score) {
                $ofClause[$code] = max($ofClause[$code] ?? 0.0, $score / $best * min(1.0, $best / $most));
            }
        }
        foreach ($ofClause ?? [] as $code => $share) {
            $all[$code] += self::CLAUSE * $share;
        }
        arsort($all);

        return array_map(static fn (float $share): float => $share * $most, $all);
    }

    /** @return array<string, float> */
    private function fits(Said $text): array
    {
        $asked = $this->asked($text);
        $scores = [];
        foreach ($this->documents as $code => $document) {
            $score = 0.0;
            $length = array_sum($document) / $this->usualLength;
            foreach ($asked as $term => $weight) {
                $times = $document[$term] ?? 0;
                if ($times > 0) {
                    $term = (string) $term;
                    $score += $weight * $this->telling[$term] * $times * (self::K1 + 1) / ($times + self::K1 * (1 - self::B + self::B * $length));
                }
            }
            if ($score > 0.0) {
                $scores[$code] = $score * (0.5 + $this->covered($code, $asked));
            }
        }

        return $scores;
    }

    /** @return list<string> the words of the text that speak for a finding, as they were said */
    public function words(Said $text, string $code): array
    {
        $words = [];
        foreach ($text->words as [$stem, $word]) {
            if (isset($this->documents[$code][$this->known($stem) ?? ''])) {
                $words[$word] = true;
            }
        }

        return array_map(strval(...), array_keys($words));
    }

    /**
     * How much of one phrase was said, at best: 0 to 1, its telling words counting more.
     *
     * @param  array<string, float>  $asked
     */
    private function covered(string $code, array $asked): float
    {
        $best = 0.0;
        foreach ($this->phrases[$code] ?? [] as $phrase) {
            $all = $there = 0.0;
            foreach (array_keys($phrase) as $term) {
                if (! str_contains((string) $term, '+') && ! str_contains((string) $term, '~')) {
                    $all += $this->telling[$term];
                    $there += isset($asked[$term]) ? $this->telling[$term] * $asked[$term] : 0.0;
                }
            }
            $best = max($best, $all > 0.0 ? $there / $all : 0.0);
        }

        return $best;
    }

    /** @return array<string, float> terms somebody has used before, with their weight */
    private function asked(Said $text): array
    {
        $asked = [];
        $before = null;
        foreach ($text->words as [$stem]) {
            $known = $this->known($stem);
            if ($known !== null) {
                $asked[$known] = max($asked[$known] ?? 0.0, $known === $stem ? 1.0 : self::SLIP);
                $pair = "{$before}+{$known}";
                if ($before !== null && isset($this->telling[$pair])) {
                    $asked[$pair] = 1.0;
                }
            }
            $before = $known;
        }
        foreach ($this->meanings($text) as $meaning) {
            if (isset($this->telling[$meaning])) {
                $asked[$meaning] = self::MEANT;
            }
        }

        return $asked;
    }

    /** @return list<string> what its words mean, denied where they are, each once, and each pair of them */
    private function meanings(Said $said): array
    {
        $single = $pairs = $before = [];
        foreach ($said->words as [$stem]) {
            $denied = str_starts_with($stem, Said::NOT);
            $of = array_map(
                static fn (string $name): string => ($denied ? Said::NOT : '').$name,
                $this->means[$denied ? substr($stem, strlen(Said::NOT)) : $stem] ?? [],
            );
            foreach ($of as $name) {
                $single[$name] = true;
                foreach ($before as $earlier) {
                    $pairs[$earlier < $name ? "{$earlier}+{$name}" : "{$name}+{$earlier}"] = true;
                }
            }
            array_push($before, ...$of);
        }

        return array_map(strval(...), [...array_keys($single), ...array_keys($pairs)]);
    }

    /** The word itself, or the nearest one that is known; nothing for one that is like none. */
    private function known(string $stem): ?string
    {
        if (isset($this->telling[$stem])) {
            return $stem;
        }
        $denied = str_starts_with($stem, Said::NOT);
        $bare = $denied ? substr($stem, strlen(Said::NOT)) : $stem;
        if (strlen($bare) < 5) {
            return null;
        }
        $best = null;
        $least = strlen($bare) >= 8 ? 3 : 2;
        foreach (array_keys($this->telling) as $term) {
            $term = (string) $term;
            if ($term[0] === $stem[0]
                && ! str_contains($term, '+')
                && ! str_contains($term, '~')
                && str_starts_with($term, Said::NOT) === $denied
                && abs(strlen($term) - strlen($stem)) < $least) {
                $apart = levenshtein($term, $stem);
                if ($apart < $least) {
                    [$best, $least] = [$term, $apart];
                }
            }
        }

        return $best;
    }
}
