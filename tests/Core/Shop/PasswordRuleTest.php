<?php

declare(strict_types=1);

namespace Tests\Core\Shop;

use OddBench\Shop\PasswordRule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PasswordRuleTest extends TestCase
{
    /** @return iterable<string, array{string, string|null}> password, a word of the refusal */
    public static function passwords(): iterable
    {
        yield 'eleven characters' => ['kettle drum', '12 characters'];
        yield 'twelve' => ['kettle drums', null];
        yield 'twelve letters that are not ASCII' => ['äöüßéèêçñøåæ', null];
        yield 'three words' => ['kettle drum fox', null];
        yield 'longer than anybody types' => [str_repeat('kettle drum fox ', 13), 'up to 200'];
        yield 'as long as may be' => [substr(str_repeat('kettle drum fox 71', 12), 0, 200), null];
        yield 'a common one of twelve' => ['1qaz2wsx3edc', 'tried first'];
        yield 'a common one in capitals' => ['1QAZ2wsx3edc', 'tried first'];
        yield 'a common word with figures behind it' => ['password2026', 'tried first'];
        yield 'a common word with signs around it' => ['!!!dragon!!!2026', 'tried first'];
        yield 'a common word with figures for letters' => ['p4$$w0rd2026!', 'tried first'];
        yield 'figures alone' => ['204918273645', 'tried first'];
        yield 'the same over and over' => ['kettkettkett', 'repeats'];
        yield 'one key held' => ['zzzzzzzzzzzzzz', 'repeats'];
        yield 'down the alphabet' => ['zyxwvutsrqpo', 'repeats'];
        yield 'a name and a year' => ['Lindqvist2026', 'a name'];
        yield 'first name and name' => ['bo-lindqvist-bo', 'a name'];
        yield 'the shop' => ['harbour bench', 'a name'];
        yield 'a name and enough besides' => ['lindqvist kettle drum', null];
    }

    #[DataProvider('passwords')]
    public function test_what_may_be_a_password(string $password, ?string $word): void
    {
        $rule = new PasswordRule(array_map(PasswordRule::print(...), ['1qaz2wsx3edc', 'password', 'dragon', 'kettle']));
        $refusal = $rule->refusal($password, ['bo', 'Bo Lindqvist', 'Harbour Bench']);
        $word === null ? self::assertNull($refusal) : self::assertStringContainsString($word, (string) $refusal);
    }

    public function test_the_list_that_ships_is_read_and_holds_the_commonest(): void
    {
        $lines = array_values(array_filter(
            file(dirname(__DIR__, 3).'/resources/passwords/commonest.txt', FILE_IGNORE_NEW_LINES) ?: [],
            static fn (string $line): bool => ! str_starts_with($line, '#'),
        ));
        self::assertGreaterThan(10_000, count($lines));
        $rule = new PasswordRule($lines);
        foreach (['qwerty123456', 'administrator', 'Password1234', 'letmein!2026', 'football 123'] as $common) {
            self::assertNotNull($rule->refusal($common), $common);
        }
        self::assertNull($rule->refusal('kettle drum fox'));
    }
}
