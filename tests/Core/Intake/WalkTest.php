<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use OddBench\Intake\Station;
use OddBench\Intake\Walk;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands in a job’s way from one station to another: each fact by itself, in its own words, and back is always open. */
final class WalkTest extends TestCase
{
    private const WELL = [
        'safetyAnswered' => true,
        'redTag' => false,
        'confirmed' => 1,
        'passedFind' => false,
        'workNoted' => true,
        'missingProofs' => [],
        'notAccounted' => [],
    ];

    /** @return iterable<string, array{array<string, mixed>, Station, Station, list<string>}> facts, from, to, obstacles */
    public static function walks(): iterable
    {
        $safety = 'The safety questions are not all answered.';
        $confirm = 'No fault is confirmed. Confirm one, or pass Find with its reason.';
        $red = 'The machine wears a red tag: nothing is proved under power until it is off.';
        yield 'all well, all the way' => [[], Station::Safety, Station::Release, []];
        yield 'safety open' => [['safetyAnswered' => false], Station::Safety, Station::Diagnosis, [$safety]];
        yield 'safety open, further on' => [['safetyAnswered' => false], Station::Safety, Station::Proof, [$safety]];
        yield 'nothing confirmed' => [['confirmed' => 0], Station::Diagnosis, Station::Repair, [$confirm]];
        yield 'nothing confirmed, Find passed' => [['confirmed' => 0, 'passedFind' => true], Station::Diagnosis, Station::Repair, []];
        yield 'nothing confirmed, nothing to be mended' => [
            ['confirmed' => 0, 'passedFind' => true, 'workNoted' => false],
            Station::Repair,
            Station::Proof,
            [],
        ];
        yield 'red tag' => [['redTag' => true], Station::Repair, Station::Proof, [$red]];
        yield 'red tag, before power' => [['redTag' => true], Station::Diagnosis, Station::Repair, []];
        yield 'no mend noted' => [['workNoted' => false], Station::Repair, Station::Proof, ['A confirmed fault has no mend noted.']];
        yield 'a screw too few' => [
            ['notAccounted' => ['M3x8: 4 out, 3 in']],
            Station::Repair,
            Station::Proof,
            ['Not accounted for on the tray: M3x8: 4 out, 3 in. Put it back, or say in words why not.'],
        ];
        yield 'back from anywhere' => [
            ['safetyAnswered' => false, 'redTag' => true, 'missingProofs' => ['Home']],
            Station::Proof,
            Station::Safety,
            [],
        ];
        yield 'where it stands' => [['safetyAnswered' => false], Station::Safety, Station::Safety, []];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  list<string>  $obstacles
     */
    #[DataProvider('walks')]
    public function test_each_fact_stands_in_the_way_of_what_it_forbids(array $facts, Station $from, Station $to, array $obstacles): void
    {
        self::assertSame($obstacles, (new Walk(...$facts + self::WELL))->obstacles($from, $to));
    }

    public function test_proofs_are_named_and_counted(): void
    {
        $one = (new Walk(...['missingProofs' => ['Home all axes']] + self::WELL))->obstacles(Station::Proof, Station::Release);
        $many = (new Walk(...['missingProofs' => ['Home', 'Travel', 'Hold', 'Print', 'Tug']] + self::WELL))->obstacles(
            Station::Proof,
            Station::Release,
        );

        self::assertCount(1, $one);
        self::assertStringContainsString('Home all axes', $one[0]);
        self::assertStringContainsString('5', implode(' ', $many));
    }

    public function test_stations_come_one_after_the_other(): void
    {
        $all = Station::cases();
        foreach ($all as $i => $station) {
            self::assertSame($i, $station->place());
            foreach ($all as $j => $other) {
                self::assertSame($i > $j, $station->comesAfter($other), "{$station->value} after {$other->value}");
            }
        }
    }
}
