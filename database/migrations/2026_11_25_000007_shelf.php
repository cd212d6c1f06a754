<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a part fits and what does as well, stock bin by bin, used spares, stocktakes, batches, things made here, spools, files. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('CREATE EXTENSION IF NOT EXISTS pg_trgm');
        Schema::table('parts', function (Blueprint $table): void {
            $table->string('words', 300)->default('');
            $table->string('notes', 2000)->nullable();
            $table->jsonb('fits')->default('{}');
            $table->integer('shelf_life_weeks')->nullable();
            $table->string('photo', 120)->nullable();
            // a used one is kept under a number of its own, so that its stock, its worth and its grade are its own
            $table->foreignId('used_of_id')->nullable()->constrained('parts');
            $table->string('grade', 10)->default('new');
            $table->foreignId('successor_id')->nullable()->constrained('parts');
            // the part whose demand and stock this one’s are counted with: its successor, or what it is a used one of
            $table->foreignId('counts_with_id')->nullable()->index()->constrained('parts');
            $table->text('search')->default('');
            $table->integer('version')->default(1);
            $table->index(['bin', 'number']);
        });
        DB::statement("ALTER TABLE parts ADD CONSTRAINT parts_grade CHECK (grade IN ('new','tested','untested') AND (grade = 'new') = (used_of_id IS NULL))");
        DB::statement('ALTER TABLE parts ADD CONSTRAINT parts_life CHECK (shelf_life_weeks BETWEEN 1 AND 1040)');
        DB::statement('CREATE UNIQUE INDEX parts_used_once ON parts (used_of_id, grade) WHERE used_of_id IS NOT NULL');
        DB::statement("UPDATE parts SET search = lower(number || ' ' || name)");
        // at once, not in a list beside it: after twenty thousand new parts that list would be read on every search
        DB::statement('CREATE INDEX parts_search ON parts USING gin (search gin_trgm_ops) WITH (fastupdate = off)');
        Schema::create('bin_stocks', function (Blueprint $table): void {
            $table->foreignId('part_id')->constrained('parts');
            $table->string('bin', 12)->index();
            $table->integer('on_hand');
            $table->primary(['part_id', 'bin']);
        });
        DB::statement('ALTER TABLE bin_stocks ADD CONSTRAINT bin_stocks_never_below_zero CHECK (on_hand >= 0)');
        DB::statement('INSERT INTO bin_stocks (part_id, bin, on_hand) SELECT id, bin, on_hand FROM parts');
        Schema::create('part_substitutes', function (Blueprint $table): void {
            $table->foreignId('part_id')->constrained('parts');
            $table->foreignId('substitute_id')->index()->constrained('parts');
            $table->string('note', 200)->nullable();
            $table->primary(['part_id', 'substitute_id']);
        });
        DB::statement('ALTER TABLE part_substitutes ADD CONSTRAINT part_substitutes_other CHECK (part_id <> substitute_id)');

        Schema::create('stocktakes', function (Blueprint $table): void {
            $table->id();
            $table->string('bins', 12)->default('')->comment('only bins that begin so');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('started_at');
            $table->timestampTz('ended_at')->nullable();
            $table->foreignId('ended_by')->nullable()->constrained('people');
            $table->boolean('posted')->default(false);
        });
        DB::statement('CREATE UNIQUE INDEX stocktakes_one ON stocktakes ((1)) WHERE ended_at IS NULL');
        Schema::create('bin_counts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('stocktake_id')->constrained('stocktakes');
            $table->string('bin', 12);
            $table->timestampTz('opened_at');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('done_at')->nullable();
            $table->unique(['stocktake_id', 'bin']);
        });
        Schema::create('part_counts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('bin_count_id')->constrained('bin_counts');
            $table->foreignId('part_id')->constrained('parts');
            $table->integer('counted');
            $table->integer('expected')->comment('what the shelf said at the moment of counting');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->unique(['bin_count_id', 'part_id']);
        });
        DB::statement('ALTER TABLE part_counts ADD CONSTRAINT part_counts_never_below_zero CHECK (counted >= 0)');

        Schema::table('movements', function (Blueprint $table): void {
            $table->string('bin', 12)->default('');
            $table->string('batch', 40)->nullable();
            // what it came out of, and how long it had run there
            $table->foreignId('machine_id')->nullable()->index()->constrained('machines');
            $table->decimal('hours', 10, 1)->nullable();
            $table->foreignId('stocktake_id')->nullable()->constrained('stocktakes');
        });
        DB::statement('UPDATE movements SET bin = p.bin FROM parts p WHERE p.id = movements.part_id');
        DB::statement('ALTER TABLE movements DROP CONSTRAINT movements_kind');
        DB::statement("ALTER TABLE movements ADD CONSTRAINT movements_kind CHECK (kind IN ('received','used','returned','counted','scrapped','salvaged','made','moved'))");
        // what is asked of movements again and again: how many of a part were taken lately
        DB::statement('DROP INDEX movements_at_part_id_index');
        DB::statement('CREATE INDEX movements_taken ON movements (part_id, at) INCLUDE (kind, quantity)');
        // what a job or a part is asked for on every look, and had no index of its own
        foreach (['diagnoses' => 'job_id', 'mends' => 'job_id', 'timers' => 'job_id', 'rail_turns' => 'job_id', 'fittings' => 'part_id'] as $table => $column) {
            DB::statement("CREATE INDEX {$table}_{$column}_asked ON {$table} ({$column})");
        }
        // how often a family was given a part, kept as it happens
        Schema::create('part_uses', function (Blueprint $table): void {
            $table->string('family', 40);
            $table->string('class', 40);
            $table->foreignId('part_id')->index()->constrained('parts');
            $table->integer('times');
            $table->primary(['family', 'part_id']);
            $table->index(['family', 'class', 'times']);
        });
        DB::insert("INSERT INTO part_uses (family, class, part_id, times) SELECT x.family, min(p.class), m.part_id, sum(CASE m.kind WHEN 'used' THEN 1 ELSE -1 END) FROM movements m JOIN parts p ON p.id = m.part_id JOIN jobs j ON j.id = m.job_id JOIN machines x ON x.id = j.machine_id WHERE m.kind IN ('used','returned') GROUP BY x.family, m.part_id");
        Schema::create('bad_batches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('movement_id')->unique()->constrained('movements');
            $table->string('because', 300);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->timestampTz('lifted_at')->nullable();
            $table->string('lifted_because', 300)->nullable();
        });

        DB::statement('ALTER TABLE supplies DROP CONSTRAINT supplies_part_id_unique');
        Schema::table('supplies', function (Blueprint $table): void {
            $table->boolean('preferred')->default(true);
            $table->bigInteger('was_minor')->nullable()->comment('what a pack cost before');
            $table->timestampTz('changed_at')->nullable();
            $table->unique(['part_id', 'supplier_id']);
            $table->index('number');
        });
        DB::statement('CREATE UNIQUE INDEX supplies_one_preferred ON supplies (part_id) WHERE preferred');

        Schema::create('recipes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('part_id')->unique()->constrained('parts');
            $table->string('material', 20);
            $table->decimal('grams', 8, 2);
            $table->bigInteger('price_per_kg_minor');
            $table->decimal('print_minutes', 8, 1);
            $table->decimal('hand_minutes', 6, 1);
            $table->string('file', 120)->nullable();
            $table->string('file_name', 160)->nullable();
            $table->string('how', 1000)->nullable();
        });
        DB::statement('ALTER TABLE recipes ADD CONSTRAINT recipes_figures CHECK (grams >= 0 AND price_per_kg_minor >= 0 AND print_minutes >= 0 AND hand_minutes >= 0)');

        Schema::create('spools', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 12)->unique();
            $table->string('material', 20);
            $table->string('colour', 40)->nullable();
            $table->string('lot', 40)->nullable();
            $table->decimal('net_g', 7, 1)->comment('of filament, when it was new');
            $table->decimal('empty_g', 6, 1)->comment('the spool alone');
            $table->decimal('left_g', 7, 1);
            $table->bigInteger('price_per_kg_minor')->default(0);
            $table->date('made_on')->nullable();
            $table->timestampTz('opened_at')->nullable();
            $table->timestampTz('dried_at')->nullable();
            $table->timestampTz('ended_at')->nullable();
            $table->timestampsTz();
        });
        DB::statement('ALTER TABLE spools ADD CONSTRAINT spools_figures CHECK (net_g > 0 AND empty_g >= 0 AND left_g >= 0)');
        Schema::create('spool_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('spool_id')->index()->constrained('spools');
            $table->string('kind', 10);
            $table->decimal('grams', 7, 1)->nullable()->comment('left after it');
            $table->decimal('hours', 5, 1)->nullable();
            $table->decimal('celsius', 5, 1)->nullable();
            $table->foreignId('job_id')->nullable()->constrained('jobs');
            $table->string('note', 200)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
        });
        DB::statement("ALTER TABLE spool_events ADD CONSTRAINT spool_events_kind CHECK (kind IN ('opened','weighed','dried','used','job','ended'))");
        Schema::table('jobs', fn (Blueprint $table) => $table->foreignId('spool_id')->nullable()->constrained('spools'));

        Schema::create('stock_files', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 10);
            $table->string('name', 160);
            $table->string('path', 120);
            $table->string('hash', 64);
            $table->jsonb('counts')->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->timestampTz('applied_at')->nullable();
        });
        DB::statement("ALTER TABLE stock_files ADD CONSTRAINT stock_files_kind CHECK (kind IN ('parts','stock','movements'))");
    }
};
