<?php

declare(strict_types=1);

namespace Tests\Core\Input;

use OddBench\Input\InputError;
use OddBench\Input\JsonObject;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JsonObjectTest extends TestCase
{
    public function test_an_object_is_read(): void
    {
        self::assertSame(
            ['a' => [1, ['b' => 'x:{"b":1}']], 'b' => ['a' => null]],
            JsonObject::decode('{"a":[1,{"b":"x:{\"b\":1}"}],"b":{"a":null}}'),
        );
        self::assertSame([], JsonObject::decode(" { }\n"));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'a name twice' => ['{"findings":{"strings":"present","strings":"absent"}}', 'findings.strings'];
        yield 'the same name, written otherwise' => ['{"a":1,"\u0061":2}', 'a'];
        yield 'a list' => ['[1]', 'input'];
        yield 'nothing' => ['', 'input'];
        yield 'half of one' => ['{"a":', 'input'];
    }

    #[DataProvider('refused')]
    public function test_anything_else_is_refused(string $text, string $field): void
    {
        try {
            JsonObject::decode($text);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }
}
