<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use Generator;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\FitLives;
use OddBench\Fleet\FittedGroup;
use OddBench\Fleet\SeenPart;
use OddBench\Knowledge\Knowledge;

/** Works out the lives of all groups from everything that was seen, and keeps them until the next night. */
final readonly class KeepLives
{
    private const AT_ONCE = 500;

    public function __construct(private Knowledge $knowledge, private SeenQuery $seen)
    {
    }

    /** @return int how many groups */
    public function workOut(): int
    {
        $fitted = (new FitLives($this->knowledge))->of($this->parts());
        DB::transaction(static function () use ($fitted): void {
            // one night at a time
            DB::statement('LOCK TABLE life_fits IN EXCLUSIVE MODE');
            LifeFit::query()->delete();
            foreach (array_chunk(array_map(self::row(...), $fitted), self::AT_ONCE) as $rows) {
                DB::table('life_fits')->insert($rows);
            }
        });

        return count($fitted);
    }

    /** @return Generator<int, SeenPart> */
    private function parts(): Generator
    {
        foreach ($this->seen->all() as $at) {
            yield $at->seen;
        }
    }

    /** @return array<string, mixed> */
    private static function row(FittedGroup $fitted): array
    {
        $judged = $fitted->judged;

        return [
            'part_class' => $fitted->group->class,
            'part_id' => $fitted->group->make === null ? null : (int) $fitted->group->make,
            'family' => $fitted->group->family,
            'circumstance' => $fitted->group->circumstance,
            ...$judged->figures(),
            'failures' => $judged->failures,
            'running' => $judged->running,
            'trade_h' => $fitted->tradeHours,
            'apart' => $fitted->apart,
            'leans_on_all' => $fitted->leansOnAll,
            'believed_from' => $fitted->believedFrom,
            'because' => $judged->because(),
            'not_counted' => json_encode($fitted->notCounted, JSON_FORCE_OBJECT),
            'at' => now(),
        ];
    }
}
