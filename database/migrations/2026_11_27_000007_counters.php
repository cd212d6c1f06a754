<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Every reading of a machine’s counter of hours; what was read at visits until now is the first of them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('counters', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained();
            $table->timestampTz('at');
            $table->decimal('hours', 10, 1);
            $table->boolean('began_anew')->default(false);
            $table->string('source', 12);
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->timestampTz('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable()->constrained('people');
            $table->index(['machine_id', 'at']);
        });
        DB::statement("ALTER TABLE counters ADD CONSTRAINT counters_figures CHECK (hours >= 0 AND source IN ('booking', 'typed', 'table'))");
        // a machine on the bench or on the shelf does not run
        Schema::table('machines', static fn (Blueprint $table) => $table->timestampTz('place_since')->nullable());
        Schema::table('jobs', static fn (Blueprint $table) => $table->boolean('hours_about')->default(false));
        DB::statement(<<<'SQL'
            UPDATE machines m SET place_since = greatest(j.opened_at, j.finished_at)
            FROM jobs j WHERE j.id = (SELECT max(id) FROM jobs l WHERE l.machine_id = m.id)
            SQL);
        // a visit that was booked in without hours took those of the visit before: only what moved is a reading
        DB::statement(<<<'SQL'
            INSERT INTO counters (machine_id, at, hours, source, person_id)
            SELECT machine_id, opened_at, hours, 'booking', opened_by FROM (
                SELECT j.*, lag(hours) OVER (PARTITION BY machine_id ORDER BY id) AS before FROM jobs j WHERE hours IS NOT NULL) AS j
            WHERE before IS NULL OR hours > before
            SQL);
        DB::statement(<<<'SQL'
            INSERT INTO counters (machine_id, at, hours, source)
            SELECT id, created_at, hours, 'typed' FROM machines m
            WHERE hours IS NOT NULL AND NOT EXISTS (SELECT 1 FROM counters c WHERE c.machine_id = m.id)
            SQL);
    }

    public function down(): void
    {
        Schema::table('machines', static fn (Blueprint $table) => $table->dropColumn('place_since'));
        Schema::table('jobs', static fn (Blueprint $table) => $table->dropColumn('hours_about'));
        Schema::drop('counters');
    }
};
