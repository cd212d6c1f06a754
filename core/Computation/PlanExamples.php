<?php

declare(strict_types=1);

namespace OddBench\Computation;

/** Inputs that are well for what plans. */
final class PlanExamples
{
    /** @return array<string, array<string, mixed>> */
    public static function all(): array
    {
        return [
            'bench-plan' => [
                'from' => '2026-09-14T08:00:00',
                'people' => [
                    ['name' => 'one', 'free' => [[0, 240], [285, 540]], 'rights' => ['mains']],
                    ['name' => 'two', 'free' => [[30, 540]], 'rights' => []],
                ],
                'jobs' => [
                    ['id' => 'HR-222', 'due' => 120, 'weight' => 2, 'steps' => [
                        ['hands' => 20, 'alone' => 60, 'beside' => true],
                        ['hands' => 10, 'place' => 'meter', 'rights' => ['mains']],
                    ]],
                    ['id' => 'TR-239', 'due' => 480, 'weight' => 1, 'after' => ['HR-222'], 'steps' => [
                        ['hands' => 30, 'alone' => 0, 'not_before' => 90, 'waits_for' => 'a fan'],
                        ['hands' => 5, 'alone' => 180, 'attended' => true, 'hands_by' => ['two' => 8]],
                    ]],
                    ['id' => 'WR-224', 'steps' => [['hands' => 15, 'place' => 'oven', 'alone' => 360, 'who' => 'two']]],
                ],
                'places' => ['meter' => 1, 'oven' => 1],
                'open' => [[0, 540]],
                'seed' => 7,
            ],
            'promise-date' => [
                'lines' => [
                    ['probability' => 0.62, 'hands' => 45, 'alone' => 180],
                    ['probability' => 0.28, 'hands' => 90, 'alone' => 0],
                    ['probability' => 0.1, 'hands' => 240, 'alone' => 600],
                ],
                'ahead_minutes' => 900,
                'minutes_per_day' => 480,
                'part' => ['mean_days' => 3, 'sd_days' => 1.5],
                'past_late' => [0, 0, 1, 0, 2, -1],
                'days' => array_map(
                    static fn (int $day): string => date('Y-m-d', (int) strtotime("2026-09-14 +{$day} days")),
                    array_merge(...array_map(static fn (int $week): array => range(7 * $week, 7 * $week + 4), range(0, 5))),
                ),
            ],
            'steps-ahead' => [
                'station' => 'diagnosis',
                'traits' => ['hotend' => 'lined'],
                'look' => ['name' => 'ohms at the plug', 'minutes' => 3, 'qualified' => true],
                'search_minutes' => 12,
                'mend' => ['bed-wire-broken'],
                'off' => 4,
                'earned' => ['nights' => true, 'lacking' => ['runaway-bed']],
                'owed' => ['bed-hold', 'small-print', 'long-print'],
                'people' => [['name' => 'one', 'guide' => 'new-bed-wires', 'minutes' => [50, 42]]],
                'timers' => [['name' => 'drying', 'minutes' => 240, 'heat' => 'cold', 'oven' => true]],
                'tasks' => [['name' => 'label the loom', 'minutes' => 5, 'part' => 'bed-loom']],
            ],
        ];
    }
}
