<?php

declare(strict_types=1);

namespace App\Plan\Today;

use Illuminate\Support\Facades\DB;

/** Promises that do not hold by the last plan, the worst first. */
final class PlanWarnings
{
    /** @return list<WarningView> */
    public static function last(): array
    {
        $json = DB::table('plans')->orderByDesc('id')->limit(1)->selectRaw("body->'warnings' AS warnings")->value('warnings');
        /** @var list<array{job: int, tag: string, name: string, words: string, ways: list<string>}> $warnings */
        $warnings = is_string($json) ? json_decode($json, true) ?? [] : [];

        return self::views($warnings);
    }

    /**
     * @param  list<array<string, mixed>>  $warnings  as a plan keeps them
     * @return list<WarningView>
     */
    public static function views(array $warnings): array
    {
        return array_map(
            static fn (array $w): WarningView => new WarningView($w['job'], $w['tag'], $w['name'], $w['words'], $w['ways']),
            $warnings,
        );
    }
}
