<?php

declare(strict_types=1);

namespace Tests\Core\Input;

use OddBench\Input\Contents;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ContentsTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> */
    public static function texts(): iterable
    {
        yield 'nothing' => ['', []];
        yield 'one line without its end' => ['G28', ['G28']];
        yield 'an end is no line of its own' => ["G28\n", ['G28']];
        yield 'an empty line is one' => ["a\n\nb\n", ['a', '', 'b']];
        yield 'ends of other systems' => ["a\r\nb\r\n", ['a', 'b']];
        yield 'letters of several bytes' => ["Ärger\nübel", ['Ärger', 'übel']];
    }

    /** @param  list<string>  $lines */
    #[DataProvider('texts')]
    public function test_lines_are_the_same_however_the_pieces_fall(string $text, array $lines): void
    {
        foreach ([1, 2, 3, 7, 4096] as $size) {
            $pieces = $text === '' ? [] : str_split($text, $size);
            $read = iterator_to_array(self::iterator(Contents::of(static fn (): array => $pieces)));

            self::assertSame($lines, array_values($read), "in pieces of {$size}");
            self::assertSame($lines === [] ? [] : range(1, count($lines)), array_keys($read));
        }
    }

    public function test_it_can_be_read_again(): void
    {
        $contents = Contents::text("a\nb");

        self::assertSame(iterator_to_array(self::iterator($contents)), iterator_to_array(self::iterator($contents)));
        self::assertSame("a\nb", $contents->bytes(3, 'file'));
    }

    public function test_too_large_is_refused_before_all_of_it_is_held(): void
    {
        $given = 0;
        $endless = Contents::of(static function () use (&$given): iterable {
            while (true) {
                $given++;
                yield str_repeat('x', 1024 * 1024);
            }
        });
        try {
            $endless->bytes(3 * 1024 * 1024, 'recording');
            self::fail('An endless file was held.');
        } catch (InputError $e) {
            self::assertSame('recording', $e->field);
            self::assertStringContainsString('3 MB', $e->getMessage());
            self::assertSame(4, $given);
        }
    }

    /** @return iterable<int, string> */
    private static function iterator(Contents $contents): iterable
    {
        yield from $contents->lines();
    }
}
