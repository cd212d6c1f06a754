<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use OddBench\Machines\Fit;
use OddBench\Machines\Seat;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** What may sit in a position: the class it takes, or what is declared instead; what fits; no more than there are places. */
final class SeatTest extends TestCase
{
    /**
     * @return iterable<string, array{string, string, list<string>, array<string, mixed>, int, list<string>}> position, class,
     *   stands in for, fits, count, refusals
     */
    public static function seats(): iterable
    {
        yield 'a nozzle where a nozzle goes' => ['nozzle', 'nozzle', [], [], 1, []];
        yield 'three liners where a nozzle goes' => ['nozzle', 'liner', [], [], 3, ['takes a nozzle', 'one place, not 3']];
        yield 'declared instead of a nozzle' => ['nozzle', 'liner', ['nozzle'], [], 1, []];
        yield 'declared instead of something else' => ['nozzle', 'liner', ['heat-break'], [], 1, ['takes a nozzle']];
        yield 'named as people say it' => ['heat-break', 'bed-spring', [], [], 1, ['is a bed spring; Heat break takes a heat break']];
        yield 'of its own family' => ['nozzle', 'nozzle', [], ['families' => ['tern-220', 'heron-cx']], 1, []];
        yield 'of other families' => ['nozzle', 'nozzle', [], ['families' => ['heron-cx']], 1, ['it fits']];
        yield 'declared instead, but of other families' => ['nozzle', 'liner', ['nozzle'], ['families' => ['heron-cx']], 1, ['it fits']];
        yield 'of its positions' => ['thermistor', 'thermistor', [], ['positions' => ['thermistor']], 1, []];
        yield 'of another position' => ['bed-sensor', 'thermistor', [], ['positions' => ['thermistor']], 1, ['it fits Hot-end thermistor']];
        yield 'of its traits' => ['nozzle', 'nozzle', [], ['traits' => ['hotend' => 'lined']], 1, []];
        yield 'of other traits' => [
            'nozzle',
            'nozzle',
            [],
            ['traits' => ['hotend' => 'all-metal']],
            1,
            ['it is for hotend all-metal, and this one has lined'],
        ];
        yield 'as many springs as there are corners' => ['springs', 'bed-spring', [], [], 4, []];
        yield 'one spring alone' => ['springs', 'bed-spring', [], [], 1, []];
        yield 'a fifth spring' => ['springs', 'bed-spring', [], [], 5, ['4 places, not 5']];
    }

    /**
     * @param  list<string>  $standsInFor
     * @param  array<string, mixed>  $fits
     * @param  list<string>  $words
     */
    #[DataProvider('seats')]
    public function test_what_may_sit_where(
        string $position,
        string $class,
        array $standsInFor,
        array $fits,
        int $count,
        array $words,
    ): void {
        $knowledge = TradeKnowledge::read();
        $family = $knowledge->families['tern-220'];

        $refusals = (new Seat($knowledge, $family, $family->positions[$position]))->refuses(
            'It',
            $class,
            $standsInFor,
            Fit::kept($fits),
            $count,
        );

        self::assertCount(count($words), $refusals, implode(' ', $refusals));
        foreach ($words as $i => $said) {
            self::assertStringContainsString($said, $refusals[$i]);
        }
    }
}
