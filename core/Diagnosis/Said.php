<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * What somebody said, as words that can be compared: stems without small words, with “not” before what is denied (“not
 * stringy any more”), up to the end of its clause.
 */
final readonly class Said
{
    public const NOT = 'not ';

    /** Words that deny what comes after them, and how many words far. */
    private const DENIES = ['not', 'no', 'never', 'without', 'neither', 'nor', 'hardly', 'barely'];

    private const FAR = 3;

    /** Words that tell nothing apart. */
    private const SMALL = [
        'a',
        'an',
        'the',
        'it',
        'its',
        'is',
        'are',
        'was',
        'were',
        'be',
        'been',
        'am',
        'of',
        'to',
        'my',
        'our',
        'your',
        'we',
        'i',
        'you',
        'he',
        'she',
        'they',
        'them',
        'me',
        'us',
        'and',
        'or',
        'at',
        'on',
        'in',
        'has',
        'have',
        'had',
        'that',
        'this',
        'these',
        'those',
        'when',
        'so',
        'then',
        'there',
        'just',
        'very',
        'really',
        'with',
        'for',
        'from',
        'do',
        'does',
        'did',
        'will',
        'would',
        'can',
        'could',
        'as',
        'if',
        'too',
        'any',
        'some',
        'what',
        'which',
        'who',
        'how',
        'by',
        'into',
        'now',
        'also',
        'get',
        'got',
        'than',
        'while',
    ];

    /**
     * @param  list<array{string, string}>  $words  stem (“not ” before it where it is denied) and word as it was said
     * @param  list<self>  $clauses  each by itself, where there are several
     */
    private function __construct(public array $words, public array $clauses = [])
    {
    }

    /** A text as it is compared: small letters, words, their stems. */
    public static function of(string $text): self
    {
        $text = str_replace(['’', '`'], "'", mb_strtolower($text));
        $text = (string) preg_replace(
            ['/\\bcannot\\b/', "/\\b(ca|wo|sha)n't\\b/", "/n't\\b/", "/'(s|re|ve|ll|d|m)\\b/"],
            ['can not', ' not', ' not', ''],
            $text,
        );
        $words = $clauses = [];
        foreach (preg_split('/[.,;:!?()]+|\bbut\b|\band\b/', $text) ?: [] as $clause) {
            $left = 0;
            $start = count($words);
            preg_match_all('/[a-z0-9]+/', $clause, $found);
            foreach ($found[0] as $word) {
                if (in_array($word, self::DENIES, true)) {
                    $left = self::FAR;
                } elseif (! in_array($word, self::SMALL, true)) {
                    $words[] = [($left > 0 ? self::NOT : '').Stem::of($word), $word];
                    $left--;
                }
            }
            if (count($words) > $start) {
                $clauses[] = new self(array_slice($words, $start));
            }
        }

        return new self($words, count($clauses) > 1 ? $clauses : []);
    }

    /** @return list<string> single words and pairs that stand beside each other */
    public function terms(): array
    {
        $stems = array_column($this->words, 0);
        $terms = $stems;
        for ($i = 1; $i < count($stems); $i++) {
            $terms[] = "{$stems[$i - 1]}+{$stems[$i]}";
        }

        return $terms;
    }
}
