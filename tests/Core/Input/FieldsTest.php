<?php

declare(strict_types=1);

namespace Tests\Core\Input;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FieldsTest extends TestCase
{
    public function test_what_is_right_is_read(): void
    {
        $fields = Fields::of(['a' => 2, 'b' => 2.5, 'c' => 'word', 'd' => ['x', 'y'], 'e' => [1, 2.5], 'f' => ['k' => 1], 'g' => null]);

        self::assertSame(2, $fields->whole('a', 0, 9));
        self::assertSame(2.5, $fields->number('b', 0, 9));
        self::assertSame('word', $fields->text('c'));
        self::assertSame(['x', 'y'], $fields->texts('d'));
        self::assertSame([1.0, 2.5], $fields->numbers('e', 0, 9));
        self::assertSame(['k' => 1], $fields->map('f'));
        self::assertNull($fields->numberOrNull('g', 0, 9));
        self::assertSame('one', $fields->choice('h', ['one', 'two'], 'one'));
        $fields->done();
    }

    /** @return iterable<string, array{callable(Fields): mixed, string, string}> */
    public static function wrong(): iterable
    {
        yield 'missing' => [static fn (Fields $f) => $f->number('none', 0, 1), 'none', 'missing'];
        yield 'a text for a number' => [static fn (Fields $f) => $f->number('text', 0, 1), 'text', 'number'];
        yield 'too large, with its unit' => [static fn (Fields $f) => $f->number('big', 0, 10, 'mm'), 'big', 'from 0 to 10 mm, not 150000'];
        yield 'below' => [static fn (Fields $f) => $f->number('minus', 0, 10), 'minus', 'from 0 to 10'];
        yield 'true for a number' => [static fn (Fields $f) => $f->number('yes', 0, 10), 'yes', 'number'];
        yield 'half' => [static fn (Fields $f) => $f->whole('half', 0, 10), 'half', 'whole'];
        yield 'blank' => [static fn (Fields $f) => $f->text('blank'), 'blank', 'text'];
        yield 'not a choice' => [static fn (Fields $f) => $f->choice('text', ['a', 'b']), 'text', 'a, b'];
        yield 'a list for an object' => [static fn (Fields $f) => $f->map('list'), 'list', 'object'];
        yield 'an object for a list' => [static fn (Fields $f) => $f->texts('object'), 'object', 'list'];
        yield 'a number among texts' => [static fn (Fields $f) => $f->texts('list'), 'list.1', 'text'];
        yield 'a text among numbers' => [static fn (Fields $f) => $f->numbers('list', 0, 9), 'list.0', 'number'];
        yield 'nobody asked' => [static fn (Fields $f) => $f->done(), 'text', 'no field'];
    }

    /** @param  callable(Fields): mixed  $read */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_refused_by_its_field(callable $read, string $field, string $words): void
    {
        $fields = Fields::of([
            'text' => 'a word',
            'big' => 150_000,
            'minus' => -1,
            'yes' => true,
            'half' => 2.5,
            'blank' => '  ',
            'list' => ['x', 1],
            'object' => ['k' => 1],
        ]);
        try {
            $read($fields);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    public function test_a_field_inside_another_is_named_with_its_path(): void
    {
        try {
            Fields::of(['volts' => 'x'], 'supply')->number('volts', 0, 60);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame('supply.volts', $e->field);
        }
    }
}
