<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Shop\Setting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * The story is always played on the same days of the calendar, so that it is the same story; afterwards every date in it is
 * moved to where it belongs today. Nothing but dates depends on the day it is played.
 */
final class DemoDates
{
    /** The moment the story ends, whatever day it is. */
    public const STORY_ENDS = '2026-11-25 15:10:00';

    private const TEXTS = [['releases', 'sheet'], ['job_events', 'text']];

    /** Moves the played story so that it ends now; one that was moved before goes on from where it was moved to. */
    public static function move(Carbon $now): void
    {
        $end = Carbon::parse(Setting::text('demo_ended_at') ?: self::STORY_ENDS, 'UTC');
        $seconds = (int) $now->timestamp - (int) $end->timestamp;
        $days = (int) $end->copy()->startOfDay()->diffInDays($now->copy()->setTimezone('UTC')->startOfDay());
        DB::transaction(static function () use ($seconds, $days): void {
            foreach (self::columns() as $table => $columns) {
                $set = [];
                foreach ($columns as $column => $isDay) {
                    $set[] = $isDay
                        ? "\"{$column}\" = \"{$column}\" + {$days}"
                        : "\"{$column}\" = \"{$column}\" + interval '{$seconds} seconds'";
                }
                DB::statement("UPDATE \"{$table}\" SET ".implode(', ', $set));
            }
            foreach (self::TEXTS as [$table, $column]) {
                self::words($table, $column, $days);
            }
        });
        Setting::put('demo_ended_at', $now->copy()->setTimezone('UTC')->format('Y-m-d H:i:s'));
    }

    /** @return array<string, array<string, bool>> table => column => whether it is a day without a time */
    private static function columns(): array
    {
        $columns = [];
        foreach (DB::select(
            "SELECT table_name, column_name, data_type FROM information_schema.columns WHERE table_schema = current_schema() AND data_type IN ('timestamp with time zone', 'date') ORDER BY table_name",
        ) as $column) {
            $columns[$column->table_name][$column->column_name] = $column->data_type === 'date';
        }

        return $columns;
    }

    /** Days that stand in words: what was signed is kept as it was written. */
    private static function words(string $table, string $column, int $days): void
    {
        $day = '/\b(20\d\d-\d\d-\d\d)\b/';
        foreach (DB::table($table)->whereRaw("\"{$column}\"::text ~ '20[0-9]{2}-[0-9]{2}-[0-9]{2}'")->pluck($column, 'id') as $id => $text) {
            $moved = preg_replace_callback(
                $day,
                static fn (array $found): string => Carbon::parse($found[1], 'UTC')->addDays($days)->toDateString(),
                (string) $text,
            );
            DB::table($table)->where('id', $id)->update([$column => $moved]);
        }
    }
}
