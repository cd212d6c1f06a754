<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Generator;
use Illuminate\Support\Carbon;
use SplPriorityQueue;

/**
 * Plays many stories at once in the order of time. A story yields who works next, for how many minutes and after what
 * wait; each person does one thing at a time, in working hours.
 */
final class DemoClock
{
    private const OPENS = 8;

    private const CLOSES = 17;

    /** @var SplPriorityQueue<int, array{int, Generator<int, Beat>}> */
    private SplPriorityQueue $queue;

    /** @var array<string, int> login => busy until */
    private array $busy = [];

    private int $order = 0;

    public function __construct(private readonly Carbon $end)
    {
        $this->queue = new SplPriorityQueue;
    }

    /** @param  Generator<int, Beat>  $story */
    public function add(int $at, Generator $story): void
    {
        // earliest first; those of the same moment in the order they were added
        $this->queue->insert([$at, $story], -($at * 1000 + $this->order++ % 1000));
    }

    public function play(): void
    {
        while (! $this->queue->isEmpty()) {
            [$at, $story] = $this->queue->extract();
            Carbon::setTestNow(Carbon::createFromTimestampUTC(min($at, $this->end->timestamp)));
            $story->valid() ? $story->next() : null;
            if ($story->valid()) {
                $this->add($this->when($at, $story->current()), $story);
            }
        }
        Carbon::setTestNow();
    }

    private function when(int $now, Beat $beat): int
    {
        $at = max($now + $beat->waitMinutes * 60, $this->busy[$beat->who] ?? 0);
        $moment = Carbon::createFromTimestampUTC($at);
        while ($moment->isWeekend() || $moment->hour >= self::CLOSES) {
            $moment = $moment->addDay()->setTime(self::OPENS, ($at / 60) % 25);
        }
        if ($moment->hour < self::OPENS) {
            $moment = $moment->setTime(self::OPENS, ($at / 60) % 25);
        }
        $at = min((int) $moment->timestamp, (int) $this->end->timestamp);
        $this->busy[$beat->who] = $at + $beat->minutes * 60;

        return $at + $beat->minutes * 60;
    }
}
