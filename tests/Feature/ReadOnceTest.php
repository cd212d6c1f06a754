<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\ReadOnce;
use App\Stock\Parts\Part;

/** What several rooms ask is read once, and never shown when it may have changed. */
final class ReadOnceTest extends BenchTestCase
{
    public function test_it_is_read_again_when_its_table_was_written_and_after_two_seconds(): void
    {
        $this->part();
        $this->freezeSecond();
        $once = $this->app->make(ReadOnce::class);
        $reads = 0;
        $count = function () use ($once, &$reads): int {
            return $once->of('parts', static function () use (&$reads): int {
                $reads++;

                return Part::query()->count();
            });
        };
        self::assertSame([1, 1, 1], [$count(), $count(), $reads]);
        $this->person();
        self::assertSame([1, 1], [$count(), $reads], 'another table');
        $this->part(0, 'nozzle', 'NOZ-1');
        self::assertSame([2, 2], [$count(), $reads], 'its own');
        $this->travel(2)->seconds();
        self::assertSame([2, 2], [$count(), $reads]);
        $this->travel(1)->seconds();
        self::assertSame([2, 3], [$count(), $reads], 'others may have written meanwhile');
    }
}
