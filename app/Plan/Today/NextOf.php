<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Shop\Person;
use Illuminate\Support\Facades\DB;

/** What the plan gives somebody to do next. */
final readonly class NextOf
{
    private const NEXT = <<<'SQL'
        SELECT step->>'job' AS job, step->>'what' AS what, step->>'start' AS start
        FROM (SELECT body FROM plans ORDER BY id DESC LIMIT 1) plan, jsonb_array_elements(plan.body->'steps') step
        WHERE step->>'person' = ? AND step->>'begun' = 'false'
        LIMIT 1
        SQL;

    private function __construct(public int $job, public string $what, public string $start)
    {
    }

    public static function person(Person $person): ?self
    {
        $row = DB::selectOne(self::NEXT, [(string) $person->id]);

        return is_object($row) ? new self((int) $row->job, (string) $row->what, (string) $row->start) : null;
    }
}
