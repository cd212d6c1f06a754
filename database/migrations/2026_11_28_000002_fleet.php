<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How lives ended, what machines print, racks, lives and risks as they were worked out last, planned changes, campaigns. */
return new class extends Migration
{
    public function up(): void
    {
        $this->fittings();
        $this->racks();
        $this->lives();
        $this->risks();
        $this->campaigns();
        // every screen of a job asks for them by the job
        foreach (['job_findings', 'fittings', 'guide_runs'] as $table) {
            Schema::table($table, fn (Blueprint $table) => $table->index('job_id'));
        }
        foreach (['successor_id', 'used_of_id'] as $column) {
            Schema::table('parts', fn (Blueprint $table) => $table->index($column));
        }
    }

    private function fittings(): void
    {
        Schema::table('fittings', function (Blueprint $table): void {
            // said by whoever took it out; nothing where it is told from the job
            $table->string('ended_as', 10)->nullable();
            $table->foreignId('removed_job_id')->nullable()->constrained('jobs');
            // hours it had when it was fitted; nothing where nobody knows
            $table->decimal('had_hours', 10, 1)->nullable()->default(0);
        });
        DB::statement("ALTER TABLE fittings ADD CONSTRAINT fittings_life CHECK (ended_as IN ('failed','worked') AND had_hours >= 0)");
        DB::statement(
            "UPDATE fittings f SET had_hours = NULL FROM parts p
                WHERE p.id = f.part_id AND p.grade <> 'new' AND f.movement_id IS NOT NULL",
        );
        // what came with a machine ended when the first part took its place, and only that was written down
        DB::statement(<<<'SQL'
            WITH firsts AS (
                SELECT DISTINCT ON (f.machine_id, f.position) f.* FROM fittings f ORDER BY f.machine_id, f.position, f.id
            ), originals AS (
                INSERT INTO fittings (machine_id, position, fitted_at, fitted_hours, removed_at, removed_hours, ended_by)
                SELECT f.machine_id, f.position, least(m.created_at, f.fitted_at), 0, f.fitted_at, f.fitted_hours, f.movement_id
                FROM firsts f JOIN machines m ON m.id = f.machine_id WHERE f.movement_id IS NOT NULL
                RETURNING id, machine_id, position
            )
            UPDATE fittings f SET replaces_id = o.id FROM originals o, firsts n
            WHERE n.id = f.id AND n.machine_id = o.machine_id AND n.position = o.position AND f.movement_id IS NOT NULL
            SQL);
        DB::statement(<<<'SQL'
            UPDATE fittings f SET had_hours = NULL WHERE f.movement_id IS NULL AND 100 < (
                SELECT c.hours FROM counters c WHERE c.machine_id = f.machine_id AND c.withdrawn_at IS NULL ORDER BY c.at, c.id LIMIT 1)
            SQL);
        DB::statement('UPDATE fittings f SET removed_job_id = v.job_id FROM movements v WHERE v.id = f.ended_by');
    }

    private function racks(): void
    {
        Schema::create('racks', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60)->unique();
            $table->smallInteger('shelves');
            $table->smallInteger('places');
            $table->smallInteger('sort')->default(0);
            $table->integer('version')->default(1);
        });
        DB::statement('ALTER TABLE racks ADD CONSTRAINT racks_size CHECK (shelves BETWEEN 1 AND 12 AND places BETWEEN 1 AND 40)');
        Schema::create('rack_places', function (Blueprint $table): void {
            $table->foreignId('machine_id')->primary()->constrained('machines');
            $table->foreignId('rack_id')->constrained('racks');
            $table->smallInteger('shelf');
            $table->smallInteger('place');
            $table->unique(['rack_id', 'shelf', 'place']);
        });
        DB::statement('ALTER TABLE rack_places ADD CONSTRAINT rack_places_at CHECK (shelf >= 1 AND place >= 1)');
        Schema::table('machines', function (Blueprint $table): void {
            $table->boolean('prints_abrasive')->default(false);
            $table->boolean('prints_hot')->default(false);
            // when its printer was asked last by itself, and why what it said was not believed
            $table->timestampTz('asked_at')->nullable();
            $table->string('counter_wonder', 300)->nullable();
        });
    }

    /** Worked out again every night; nothing here is evidence. */
    private function lives(): void
    {
        Schema::create('life_fits', function (Blueprint $table): void {
            $table->id();
            $table->string('part_class', 60);
            $table->foreignId('part_id')->nullable()->constrained('parts');
            $table->string('family', 60)->nullable();
            $table->string('circumstance', 60)->nullable();
            $table->double('shape');
            $table->double('scale_h');
            $table->double('mean_h');
            $table->double('low_h');
            $table->double('high_h')->nullable();
            $table->string('method', 10);
            $table->integer('failures');
            $table->integer('running');
            $table->double('trade_h')->nullable();
            $table->boolean('leans_on_all');
            $table->double('apart')->default(0);
            $table->date('believed_from')->nullable();
            $table->text('because');
            $table->json('not_counted');
            $table->timestampTz('at');
        });
        DB::statement('CREATE UNIQUE INDEX life_fits_one ON life_fits (part_class, part_id, family, circumstance) NULLS NOT DISTINCT');
    }

    private function risks(): void
    {
        Schema::create('position_risks', function (Blueprint $table): void {
            $table->foreignId('machine_id')->constrained('machines');
            $table->string('position', 60);
            $table->string('part_class', 60);
            $table->foreignId('part_id')->nullable()->constrained('parts');
            // the group whose life it is judged by; 0 failures is the trade’s word
            $table->string('judged_by', 200);
            $table->integer('failures');
            $table->double('shape');
            $table->double('scale_h');
            $table->double('age_h')->nullable();
            $table->string('not_counted', 20)->nullable();
            $table->double('change_at_h')->nullable();
            $table->double('planned_minor');
            $table->double('failure_minor');
            foreach ([1, 2, 4, 8] as $weeks) {
                $table->double("risk_{$weeks}")->default(0);
                $table->double("saves_{$weeks}")->default(0);
            }
            $table->primary(['machine_id', 'position']);
            $table->index('part_class');
        });
        // few of many: what the clock does not change, and what nobody knows the age of
        foreach ([1, 2, 4, 8] as $weeks) {
            DB::statement("CREATE INDEX position_risks_by_chance_{$weeks} ON position_risks (risk_{$weeks}) WHERE change_at_h IS NULL");
        }
        DB::statement('CREATE INDEX position_risks_not_counted ON position_risks (machine_id) WHERE not_counted IS NOT NULL');
        Schema::create('machine_risks', function (Blueprint $table): void {
            $table->foreignId('machine_id')->primary()->constrained('machines');
            $table->double('hours')->nullable();
            $table->double('per_week')->nullable();
            $table->string('service', 60)->nullable();
            $table->integer('service_days')->nullable();
            $table->double('service_share')->default(0);
            foreach ([1, 2, 4, 8] as $weeks) {
                $table->double("risk_{$weeks}")->default(0);
                $table->double("saves_{$weeks}")->default(0);
                $table->string("worst_{$weeks}", 60)->nullable();
                $table->double("worst_risk_{$weeks}")->default(0);
            }
            // something was fitted, read or moved since
            $table->boolean('stale')->default(false);
            $table->timestampTz('at');
        });
        DB::statement('CREATE INDEX machine_risks_stale ON machine_risks (machine_id) WHERE stale');
        // the same summed up, for the order list asks for it part by part
        Schema::create('class_risks', function (Blueprint $table): void {
            $table->string('family', 60);
            $table->string('part_class', 60);
            $table->integer('in_use');
            foreach ([1, 2, 4, 8] as $weeks) {
                $table->double("expected_{$weeks}");
                $table->double("variance_{$weeks}");
            }
            $table->primary(['family', 'part_class']);
        });
        // what a service job is to change besides what comes round
        Schema::create('planned_changes', function (Blueprint $table): void {
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('position', 60);
            $table->string('part_class', 60);
            $table->string('guide', 60)->nullable();
            $table->primary(['job_id', 'position']);
        });
    }

    private function campaigns(): void
    {
        Schema::rename('look_lists', 'campaigns');
        Schema::table('looks_owed', fn (Blueprint $table) => $table->renameColumn('look_list_id', 'campaign_id'));
        Schema::table('campaigns', function (Blueprint $table): void {
            $table->string('fault', 60)->nullable()->change();
            $table->string('look', 60)->nullable()->change();
            $table->foreignId('job_id')->nullable()->change();
            $table->string('origin', 10)->default('fault');
            $table->string('title', 120)->nullable();
            $table->string('look_for', 400)->nullable();
            $table->json('criteria')->nullable();
            $table->foreignId('assigned_to')->nullable()->constrained('people');
            $table->date('due_on')->nullable();
            $table->boolean('dangerous')->default(false);
            $table->string('mend', 400)->nullable();
            $table->foreignId('tagged_by')->nullable()->constrained('people');
            $table->timestampTz('tagged_at')->nullable();
        });
        DB::statement(<<<'SQL'
            ALTER TABLE campaigns ADD CONSTRAINT campaigns_from CHECK (
                origin IN ('fault','batch','bulletin','thought')
                AND (fault IS NOT NULL OR title IS NOT NULL)
                AND (look IS NOT NULL OR look_for IS NOT NULL)
                AND (tagged_at IS NULL) = (tagged_by IS NULL))
            SQL);
        Schema::table('looks_owed', function (Blueprint $table): void {
            $table->double('risk')->nullable();
            $table->double('harm')->default(1);
            $table->foreignId('mended_by')->nullable()->constrained('people');
            $table->timestampTz('mended_at')->nullable();
            $table->timestampTz('letter_at')->nullable();
        });
        DB::statement(
            'ALTER TABLE looks_owed ADD CONSTRAINT looks_owed_mended
                CHECK ((mended_at IS NULL) = (mended_by IS NULL) AND (mended_at IS NULL OR affected))',
        );
    }
};
