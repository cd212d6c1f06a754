<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Proof runs with a connected printer; what the page says is written here and read by the one process that runs them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('machines', function (Blueprint $table): void {
            $table->string('printer_host', 120)->nullable();
            $table->integer('printer_port')->nullable();
        });
        DB::statement('ALTER TABLE machines ADD CONSTRAINT machines_printer CHECK ((printer_host IS NULL) = (printer_port IS NULL) AND printer_port BETWEEN 1 AND 65535)');
        Schema::create('proof_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->index()->constrained('jobs');
            $table->foreignId('machine_id')->constrained('machines');
            $table->json('stages');
            $table->string('state', 12);
            $table->string('stage', 20)->nullable();
            $table->text('question')->nullable();
            $table->json('choices')->nullable();
            $table->json('results');
            $table->text('said')->nullable();
            $table->string('answer', 60)->nullable();
            $table->boolean('stop_asked')->default(false);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('began_at');
            $table->timestampTz('stage_since')->nullable();
            $table->timestampTz('ended_at')->nullable();
            $table->timestampTz('seen_at')->nullable();
        });
        DB::statement("ALTER TABLE proof_runs ADD CONSTRAINT proof_runs_state CHECK (state IN ('waiting','running','asking','passed','failed','stopped','lost'))");
        DB::statement('CREATE UNIQUE INDEX proof_runs_one ON proof_runs (machine_id) WHERE ended_at IS NULL');
        // a minute in each row: six values of two bytes for each sample
        Schema::create('proof_samples', function (Blueprint $table): void {
            $table->foreignId('proof_run_id')->constrained('proof_runs');
            $table->integer('minute');
            $table->binary('samples');
            $table->primary(['proof_run_id', 'minute']);
        });
        // what a run measured on a well machine is a baseline too
        Schema::table('baselines', function (Blueprint $table): void {
            $table->foreignId('reading_id')->nullable()->change();
            $table->foreignId('proof_run_id')->nullable()->constrained('proof_runs');
        });
    }
};
