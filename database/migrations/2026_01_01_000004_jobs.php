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
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('machines');
            $table->string('kind', 12);
            $table->string('station', 12);
            $table->timestampTz('station_since');
            $table->text('complaint');
            $table->text('screen_said')->nullable();
            $table->text('came_along')->nullable();
            $table->string('began', 20);
            $table->decimal('hours', 10, 1)->nullable();
            $table->date('promised_for')->nullable();
            $table->string('waits_for', 10)->nullable();
            $table->string('waits_note', 200)->nullable();
            $table->timestampTz('waits_until')->nullable();
            $table->text('find_passed_because')->nullable();
            $table->string('next_step', 200)->nullable();
            $table->smallInteger('next_minutes')->nullable();
            $table->integer('version')->default(1);
            $table->foreignId('opened_by')->constrained('people');
            $table->timestampTz('opened_at');
            $table->timestampTz('finished_at')->nullable();
            $table->index(['machine_id', 'opened_at']);
        });
        DB::statement('CREATE UNIQUE INDEX jobs_one_open ON jobs (machine_id) WHERE finished_at IS NULL');
        DB::statement('CREATE INDEX jobs_open ON jobs (station) WHERE finished_at IS NULL');
        DB::statement("ALTER TABLE jobs ADD CONSTRAINT jobs_kind CHECK (kind IN ('repair','service','upgrade','inspection','refurbish'))");
        DB::statement("ALTER TABLE jobs ADD CONSTRAINT jobs_station CHECK (station IN ('intake','safety','diagnosis','repair','proof','release'))");
        DB::statement("ALTER TABLE jobs ADD CONSTRAINT jobs_waits CHECK (waits_for IN ('itself','part','person','claim'))");
        // What happened, in order; never changed. Each line of a job carries the version it made.
        Schema::create('job_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->foreignId('machine_id')->constrained('machines');
            $table->integer('version');
            $table->string('station', 12);
            $table->string('kind', 30);
            $table->text('text');
            $table->decimal('hours', 10, 1)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index(['machine_id', 'id']);
            $table->index(['job_id', 'version']);
        });
        Schema::create('work_spells', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->foreignId('person_id')->constrained('people');
            $table->string('station', 12);
            $table->timestampTz('began_at');
            $table->timestampTz('last_seen_at');
            $table->timestampTz('ended_at')->nullable();
            $table->index(['job_id', 'station']);
        });
        DB::statement('CREATE UNIQUE INDEX work_spells_one_job ON work_spells (person_id) WHERE ended_at IS NULL');
    }
};
