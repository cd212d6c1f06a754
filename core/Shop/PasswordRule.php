<?php

declare(strict_types=1);

namespace OddBench\Shop;

/**
 * What may be a password: long, and none of those that are tried first (NIST SP 800-63B, section 5.1.1.2: length, a list of
 * the commonest, the name of the service and of its user; no rules of capitals and signs, and no expiry).
 */
final readonly class PasswordRule
{
    public const LEAST = 12;

    public const MOST = 200;

    /** What is left of a password without somebody’s own name must still be this long. */
    private const OWN_BESIDES = 8;

    private const LEET = ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i'];

    /** @var array<string, true> */
    private array $commonest;

    /** @param  list<string>  $commonest  prints of passwords that are tried first */
    public function __construct(array $commonest)
    {
        $this->commonest = array_fill_keys($commonest, true);
    }

    /** What a common password is known by, so that nobody has to read a list of them: the start of its SHA-1 in small letters. */
    public static function print(string $password): string
    {
        return substr(sha1(mb_strtolower($password)), 0, 12);
    }

    /**
     * Why it may not be one, in words for whoever types it; null when it may.
     *
     * @param  list<string>  $own  names anybody would try: the login, the person’s and the shop’s
     */
    public function refusal(string $password, array $own = []): ?string
    {
        $length = mb_strlen($password);
        $small = mb_strtolower($password);

        return match (true) {
            $length < self::LEAST => sprintf(
                'A password has %d characters or more. Three or four words that have nothing to do with each other do well.',
                self::LEAST,
            ),
            $length > self::MOST => sprintf('A password has up to %d characters.', self::MOST),
            $this->isCommon($small) => 'This is among the passwords that are tried first. Take words that nobody would put together.',
            self::repeats($small) => 'This repeats itself, and is tried early. Take words that nobody would put together.',
            self::isOwn($small, $own) => 'This is mostly a name that anybody would try. Take words that have nothing to do with you or the shop.',
            default => null,
        };
    }

    private function isCommon(string $small): bool
    {
        if (preg_match('/^[\d\W_]+$/u', $small) === 1) {
            return true;
        }
        // figures and signs around a word, or in the place of its letters, are tried with it
        $word = self::bare($small);
        $written = strtr($small, self::LEET);

        $tried = array_map(self::print(...), [$small, $word, $written, strtr($word, self::LEET), self::bare($written)]);

        return array_intersect_key($this->commonest, array_flip($tried)) !== [];
    }

    private static function bare(string $small): string
    {
        return (string) preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $small);
    }

    /** The same one to four characters over and over, or a run of neighbours as abcdef and 987654. */
    private static function repeats(string $small): bool
    {
        if (preg_match('/^(.{1,4}?)\1+.{0,3}$/us', $small) === 1) {
            return true;
        }
        $codes = array_map(mb_ord(...), mb_str_split($small));
        $steps = array_unique(array_map(
            static fn (int|false $a, int|false $b): int => (int) $b - (int) $a,
            array_slice($codes, 0, -1),
            array_slice($codes, 1),
        ));

        return count($steps) === 1 && abs(reset($steps) ?: 0) <= 1;
    }

    /** @param  list<string>  $own */
    private static function isOwn(string $small, array $own): bool
    {
        foreach ($own as $name) {
            foreach ([$name, ...(preg_split('/[\s\-.,]+/u', $name) ?: [])] as $part) {
                $part = mb_strtolower($part);
                if (mb_strlen($part) >= 3 && str_contains($small, $part)) {
                    $small = str_replace($part, '', $small);
                    if (mb_strlen($small) < self::OWN_BESIDES) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
