<?php

declare(strict_types=1);

namespace Tests\Races;

use App\Intake\Job;
use App\Plan\Calendar\DayOff;
use Illuminate\Testing\TestResponse;

/** The moments at which each write about the plan can be sent. */
final readonly class PlanScenes
{
    /** @param  \Closure(string, string, array<string, mixed>): TestResponse<\Illuminate\Http\Response>  $send */
    public function __construct(private \Closure $send)
    {
    }

    /**
     * @param  \Closure(): Job  $job
     * @return array<string, \Closure(): array{string, string, array<string, mixed>}> route => scene
     */
    public function all(\Closure $job): array
    {
        return [
            'PUT plan/hours' => function () {
                $hours = ['person' => null, 'week' => [
                    ['weekday' => 1, 'opens' => '8:00', 'closes' => '12:00'],
                    ['weekday' => 1, 'opens' => '12:45', 'closes' => '17:00'],
                    ['weekday' => 3, 'opens' => '8:00', 'closes' => '17:00'],
                ]];
                ($this->send)('PUT', '/plan/hours', $hours)->assertSuccessful();

                return ['PUT', '/plan/hours', $hours];
            },
            'POST plan/days-off' => fn () => ['POST', '/plan/days-off', $this->dayOff()],
            'DELETE plan/days-off/{off}' => function () {
                ($this->send)('POST', '/plan/days-off', $this->dayOff())->assertSuccessful();

                return ['DELETE', '/plan/days-off/'.DayOff::query()->max('id'), []];
            },
            'POST plan/calendar-address' => fn () => ['POST', '/plan/calendar-address', []],
            'DELETE plan/calendar-address' => function () {
                ($this->send)('POST', '/plan/calendar-address', [])->assertSuccessful();

                return ['DELETE', '/plan/calendar-address', []];
            },
            'POST plan/moves' => fn () => ['POST', '/plan/moves', $this->move($job())],
            'DELETE plan/moves' => function () use ($job) {
                $move = $this->move($job());
                ($this->send)('POST', '/plan/moves', $move)->assertSuccessful();

                return ['DELETE', '/plan/moves', ['job' => $move['job'], 'step' => $move['step']]];
            },
        ];
    }

    /** @return array<string, mixed> */
    private function dayOff(): array
    {
        return ['person' => null, 'first' => now()->addDays(9)->toDateString(), 'why' => 'inventory'];
    }

    /** @return array<string, mixed> */
    private function move(Job $job): array
    {
        return ['job' => $job->id, 'step' => 'Safety questions', 'notBefore' => now()->addHours(2)->toIso8601String()];
    }
}
