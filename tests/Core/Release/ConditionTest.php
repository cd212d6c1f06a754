<?php

declare(strict_types=1);

namespace Tests\Core\Release;

use OddBench\Input\InputError;
use OddBench\Release\Condition;
use OddBench\Release\Grade;
use OddBench\Release\WornPosition;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ConditionTest extends TestCase
{
    /** @return iterable<string, array{list<array{0: string, 1: float|null, 2: float|null, 3?: bool}>, list<string>, string|null, Grade}> */
    public static function machines(): iterable
    {
        yield 'nothing wears' => [[], [], null, Grade::Fresh];
        yield 'a quarter to the hour' => [[['Nozzle', 250.0, 1000.0]], [], null, Grade::Fresh];
        yield 'over a quarter' => [[['Nozzle', 251.0, 1000.0], ['Rail', 10.0, 6000.0]], [], null, Grade::Good];
        yield 'seven tenths' => [[['Nozzle', 700.0, 1000.0]], [], null, Grade::Good];
        yield 'over seven tenths' => [[['Nozzle', 701.0, 1000.0]], [], null, Grade::Used];
        yield 'to the end' => [[['Nozzle', 1000.0, 1000.0]], [], null, Grade::Used];
        yield 'past it' => [[['Nozzle', 1001.0, 1000.0], ['Rail', 0.0, 6000.0]], [], null, Grade::Worn];
        yield 'nobody knows' => [[['Nozzle', null, 1000.0]], [], null, Grade::Used];
        yield 'does not wear by hours' => [[['Frame', 9000.0, null]], [], null, Grade::Fresh];
        yield 'a proof waived' => [[['Nozzle', 1.0, 1000.0]], ['Frame square'], null, Grade::Used];
        yield 'a known fault of looks' => [[['Nozzle', 1.0, 1000.0]], [], 'cracked cover', Grade::Used];
        yield 'a nozzle near its end' => [[['Nozzle', 900.0, 1000.0, true]], [], null, Grade::Fresh];
        yield 'a nozzle past it' => [[['Nozzle', 1900.0, 1000.0, true]], [], null, Grade::Used];
        yield 'blank words are none' => [[], [], '  ', Grade::Fresh];
    }

    /**
     * @param  list<array{0: string, 1: float|null, 2: float|null, 3?: bool}>  $positions
     * @param  list<string>  $waived
     */
    #[DataProvider('machines')]
    public function test_the_grade_is_that_of_the_most_worn(array $positions, array $waived, ?string $known, Grade $grade): void
    {
        $condition = Condition::of(array_map(static fn (array $p): WornPosition => new WornPosition(...$p), $positions), $waived, $known);

        self::assertSame($grade, $condition->grade);
        self::assertSame($grade === Grade::Fresh, $condition->because === []);
    }

    public function test_the_most_worn_is_named_first_with_its_figures(): void
    {
        $condition = Condition::of(
            [
                new WornPosition('Rail', 2000, 6000),
                new WornPosition('Gear', 1300, 1000),
                new WornPosition('Belt', 5000, 4000),
                new WornPosition('Fan', 2600, 2500),
                new WornPosition('Idler', 3600, 3500),
            ],
            ['Frame square'],
            null,
        );

        self::assertSame(
            [
                'Past its usual life: Gear (1 300 of 1 000 h), Belt (5 000 of 4 000 h), Fan (2 600 of 2 500 h) and 1 more',
                'Past a quarter of its life: Rail (2 000 of 6 000 h)',
                'Not proved: Frame square',
            ],
            str_replace("\u{A0}", ' ', $condition->because),
        );
    }

    public function test_it_is_set_lower_in_words_and_never_higher(): void
    {
        $good = Condition::of([new WornPosition('Nozzle', 500, 1000)], [], null);
        self::assertSame($good, $good->loweredTo(Grade::Good, null));
        self::assertSame(Grade::Worn, $good->loweredTo(Grade::Worn, 'the frame was dropped')->grade);
        self::assertContains('the frame was dropped', $good->loweredTo(Grade::Worn, 'the frame was dropped')->because);
        self::assertSame(Grade::Used, $good->loweredTo(Grade::Used, ' rusty ')->grade, 'five letters are a reason');
        foreach ([[Grade::Fresh, 'it shines', 'grade'], [Grade::Used, ' ', 'gradeBecause'], [Grade::Used, null, 'gradeBecause'], [Grade::Used, 'rust ', 'gradeBecause']] as [$to, $why, $field]) {
            try {
                $good->loweredTo($to, $why);
                self::fail('not refused');
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
            }
        }
    }
}
