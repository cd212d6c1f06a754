<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\Trend;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Against R 4.2: u <- (mean(t) - T/2)/(T*sqrt(1/(12*n))); 2*pnorm(-abs(u)); b <- n/sum(log(T/t)); T/(n*b) */
final class TrendTest extends TestCase
{
    /** @return iterable<string, array{list<int>, int, float, float, float, float, string}> */
    public static function fromR(): iterable
    {
        yield 'as by chance' => [
            [5, 40, 43, 175, 389, 712, 747, 795, 1299, 1478], 1500,
            -1.326949183, 0.1845254934, 0.537228866, 279.2106111, 'neither quicker nor slower',
        ];
        yield 'quicker and quicker' => [
            [900, 1300, 1420, 1490, 1530], 1600, 2.556169008, 0.01058317024, 4.910078442, 65.17207491, 'getting worse, 99 % sure',
        ];
        yield 'it calmed down' => [[10, 30, 90, 300], 2000, -3.091710692, 0.001990066997, 0.2759337124, 1812.029402, 'getting better'];
    }

    /** @param  list<int>  $at */
    #[DataProvider('fromR')]
    public function test_it_agrees_with_r(array $at, int $until, float $u, float $p, float $shape, float $between, string $says): void
    {
        $told = (new Trend)->compute(['at_h' => $at, 'until_h' => $until]);

        self::assertEqualsWithDelta($u, $told['laplace_u'], 1e-8);
        self::assertEqualsWithDelta($p, $told['p'], 1e-9);
        self::assertEqualsWithDelta($shape, $told['shape'], 1e-8);
        self::assertEqualsWithDelta($between, $told['now_h_between'], 1e-6);
        self::assertStringContainsString($says, $told['because']);
    }

    public function test_two_visits_are_no_trend(): void
    {
        self::assertStringContainsString('too few', (new Trend)->compute(['at_h' => [950, 990], 'until_h' => 1000])['because']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'hours that run backwards' => [['at_h' => [5, 900, 20], 'until_h' => 1000], 'at_h.2', 'new board'];
        yield 'after the end' => [['at_h' => [5, 1200], 'until_h' => 1000], 'at_h.1', 'after until_h'];
        yield 'watched for nothing' => [['at_h' => [1000], 'until_h' => 1000], 'until_h', 'after the first visit'];
        yield 'no visit' => [['at_h' => [], 'until_h' => 1000], 'at_h', 'empty'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_what_it_refuses(array $input, string $field, string $why): void
    {
        try {
            (new Trend)->compute($input);
            self::fail('It was answered.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($why, $e->getMessage());
        }
    }
}
