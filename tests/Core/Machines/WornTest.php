<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use OddBench\Machines\Worn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WornTest extends TestCase
{
    /** @return iterable<string, array{float|null, float|null, Worn, float|null}> hours, life, worn, share */
    public static function lives(): iterable
    {
        yield 'new' => [0.0, 400.0, Worn::Well, 0.0];
        yield 'an hour before the last quarter' => [299.0, 400.0, Worn::Well, 0.7475];
        yield 'the last quarter begins' => [300.0, 400.0, Worn::Soon, 0.75];
        yield 'an hour before its end' => [399.0, 400.0, Worn::Soon, 0.9975];
        yield 'at its end' => [400.0, 400.0, Worn::Past, 1.0];
        yield 'long past' => [1000.0, 400.0, Worn::Past, 2.5];
        yield 'hours not known' => [null, 400.0, Worn::Unknown, null];
        yield 'hours do not wear it' => [1000.0, null, Worn::Unknown, null];
        yield 'no life at all is none known' => [1000.0, 0.0, Worn::Unknown, null];
    }

    #[DataProvider('lives')]
    public function test_a_part_is_past_its_life_at_its_end_and_near_it_in_the_last_quarter(
        ?float $hours,
        ?float $life,
        Worn $worn,
        ?float $share,
    ): void {
        self::assertSame($worn, Worn::of($hours, $life));
        self::assertSame($share, Worn::share($hours, $life));
    }
}
