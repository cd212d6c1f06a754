<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A counter may be read from the printer itself. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE counters DROP CONSTRAINT counters_figures');
        DB::statement(
            "ALTER TABLE counters ADD CONSTRAINT counters_figures CHECK (hours >= 0 AND source IN ('booking', 'typed', 'table', 'printer'))",
        );
    }

    public function down(): void
    {
        DB::statement("UPDATE counters SET source = 'typed' WHERE source = 'printer'");
        DB::statement('ALTER TABLE counters DROP CONSTRAINT counters_figures');
        DB::statement(
            "ALTER TABLE counters ADD CONSTRAINT counters_figures CHECK (hours >= 0 AND source IN ('booking', 'typed', 'table'))",
        );
    }
};
