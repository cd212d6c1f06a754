<?php

declare(strict_types=1);

namespace Tests\Core\Knowledge;

use OddBench\Knowledge\Build;
use OddBench\Knowledge\Entry;
use OddBench\Knowledge\Mistake;
use OddBench\Proof\Prints\Bed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** How far a family’s machines can be driven is said by the family, and nothing else is driven by. */
final class BuildTest extends TestCase
{
    public function test_a_small_machine_is_driven_no_further_than_it_goes(): void
    {
        $bed = Bed::of(Build::read(Entry::of(
            'families/x.yaml',
            'x',
            ['build' => ['x' => 120, 'y' => 110, 'z' => 100, 'shape' => 'box', 'origin' => 'corner']],
        )));

        self::assertSame([[10.0, 10.0], [110.0, 100.0]], [$bed->at(-1, -1), $bed->at(1, 1)]);
        $middle = Bed::of(Build::read(Entry::of(
            'families/x.yaml',
            'x',
            ['build' => ['x' => 120, 'y' => 110, 'z' => 100, 'shape' => 'box', 'origin' => 'middle']],
        )));
        self::assertSame([[-50.0, -45.0], [50.0, 45.0]], [$middle->at(-1, -1), $middle->at(1, 1)]);
    }

    public function test_every_family_says_it_and_its_instruments_begin_with_it(): void
    {
        foreach (TradeKnowledge::read()->families as $family) {
            self::assertSame((string) $family->build->x, $family->starts['bed_x_mm'], $family->code);
            self::assertSame($family->traits['motion'] === 'delta', $family->build->round && $family->build->middle, $family->code);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $build = ['x' => 220, 'y' => 220, 'z' => 250, 'shape' => 'box', 'origin' => 'corner'];
        yield 'none' => [[], 'x.build x'];
        yield 'no height' => [['build' => array_diff_key($build, ['z' => 0])], 'x.build z'];
        yield 'no shape' => [['build' => ['shape' => 'oval'] + $build], 'x.build shape'];
        yield 'no origin' => [['build' => ['origin' => 'back'] + $build], 'x.build origin'];
        yield 'a hall' => [['build' => ['x' => 4000] + $build], 'x.build x'];
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('wrong')]
    public function test_without_it_a_family_is_a_mistake(array $fields, string $where): void
    {
        $entry = Entry::of('families/x.yaml', 'x', $fields);
        Build::read($entry);

        self::assertStringContainsString(
            $where,
            implode("\n", array_map(static fn (Mistake $m): string => "{$m->entry} {$m->field}", $entry->mistakes())),
        );
    }
}
