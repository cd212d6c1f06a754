<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // what the movements of a class of part come to by day (UTC), up to the last one that is in the sums
        Schema::create('movement_days', function (Blueprint $table): void {
            $table->string('class', 40);
            $table->date('day');
            $table->integer('used')->default(0);
            $table->bigInteger('value_minor')->default(0);
            $table->primary(['class', 'day']);
        });
        Schema::create('movement_sums', function (Blueprint $table): void {
            $table->boolean('one')->primary()->default(true);
            $table->bigInteger('up_to');
        });
        DB::statement('ALTER TABLE movement_sums ADD CONSTRAINT movement_sums_one CHECK (one)');
        DB::insert('INSERT INTO movement_sums (up_to) VALUES (0)');
        // they come in the order of time, but for a few: small, and enough to find a day
        DB::statement('CREATE INDEX movements_when ON movements USING brin (at) WITH (pages_per_range = 16)');
        // what the jobs of a span used, from the index alone
        DB::statement("CREATE INDEX movements_used ON movements (at) INCLUDE (job_id, value_minor) WHERE kind IN ('used', 'returned')");
        // what lies of each class, and how often a machine came in: asked with every job, answered from the index alone
        DB::statement('DROP INDEX parts_class_index');
        DB::statement('CREATE INDEX parts_class_index ON parts (class) INCLUDE (on_hand, value_minor)');
        DB::statement("CREATE INDEX jobs_repairs ON jobs (machine_id, hours) WHERE kind = 'repair'");
        // a part that is put into another class takes what moved with it
        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION movement_days_follow() RETURNS trigger LANGUAGE plpgsql AS $$
            DECLARE summed bigint := (SELECT up_to FROM movement_sums FOR UPDATE);
            BEGIN
                UPDATE movement_days d SET used = d.used - s.used, value_minor = d.value_minor - s.value
                FROM movement_days_of(NEW.id, 0, summed) s WHERE d.class = OLD.class AND d.day = s.day;
                INSERT INTO movement_days AS d (class, day, used, value_minor)
                SELECT NEW.class, s.day, s.used, s.value FROM movement_days_of(NEW.id, 0, summed) s
                ON CONFLICT (class, day) DO UPDATE SET used = d.used + excluded.used, value_minor = d.value_minor + excluded.value_minor;
                RETURN NEW;
            END $$;
            CREATE OR REPLACE FUNCTION movement_days_of(part bigint, after bigint, up_to bigint) RETURNS TABLE (class varchar, day date, used int, value bigint) LANGUAGE sql STABLE AS $$
                -- what is taken back was never used: it leaves the day on which it was taken
                SELECT p.class, (s.at AT TIME ZONE 'UTC')::date, sum(s.used)::int, sum(s.value)::bigint FROM (
                    SELECT m.part_id, m.at, (m.kind = 'used')::int AS used, m.value_minor AS value
                    FROM movements m WHERE m.id > after AND m.id <= up_to AND (part IS NULL OR m.part_id = part)
                    UNION ALL
                    SELECT w.part_id, w.at, -1, 0
                    FROM movements m JOIN movements w ON w.id = m.undoes_id AND w.kind = 'used'
                    WHERE m.id > after AND m.id <= up_to AND (part IS NULL OR m.part_id = part)
                ) s JOIN parts p ON p.id = s.part_id GROUP BY 1, 2
            $$;
            CREATE TRIGGER movement_days_follow AFTER UPDATE OF class ON parts FOR EACH ROW WHEN (OLD.class IS DISTINCT FROM NEW.class)
                EXECUTE FUNCTION movement_days_follow();
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('DROP TRIGGER movement_days_follow ON parts; DROP FUNCTION movement_days_follow(); DROP FUNCTION movement_days_of(bigint, bigint, bigint)');
        DB::statement('DROP INDEX jobs_repairs');
        DB::statement('DROP INDEX parts_class_index');
        DB::statement('CREATE INDEX parts_class_index ON parts (class)');
        DB::statement('DROP INDEX movements_used');
        DB::statement('DROP INDEX movements_when');
        Schema::drop('movement_sums');
        Schema::drop('movement_days');
    }
};
