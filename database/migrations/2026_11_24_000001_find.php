<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Trial prints with their photographs, and look-lists over sister machines. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('photographs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->index()->constrained('jobs');
            $table->string('path', 120);
            $table->integer('width');
            $table->integer('height');
            $table->integer('bytes');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
        });
        Schema::create('trials', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->integer('number');
            // json, not jsonb: the order of the settings is the order they were typed in
            $table->json('settings');
            $table->smallInteger('rating');
            $table->boolean('stopped')->default(false);
            $table->decimal('band_from_mm', 7, 2)->nullable();
            $table->decimal('band_to_mm', 7, 2)->nullable();
            $table->string('note', 200)->nullable();
            $table->foreignId('photograph_id')->nullable()->constrained('photographs');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->foreignId('withdrawn_by')->nullable()->constrained('people');
            $table->timestampTz('withdrawn_at')->nullable();
            $table->unique(['job_id', 'number']);
        });
        DB::statement('ALTER TABLE trials ADD CONSTRAINT trials_rating CHECK (rating BETWEEN 1 AND 5)');
        DB::statement('ALTER TABLE trials ADD CONSTRAINT trials_band CHECK ((band_from_mm IS NULL) = (band_to_mm IS NULL) AND (band_from_mm IS NULL OR band_from_mm < band_to_mm))');
        Schema::table('mends', fn (Blueprint $table) => $table->string('way', 80)->nullable());
        Schema::create('look_lists', function (Blueprint $table): void {
            $table->id();
            $table->string('fault', 60);
            $table->string('look', 60);
            $table->text('because');
            $table->foreignId('job_id')->constrained('jobs');
            $table->foreignId('opened_by')->constrained('people');
            $table->timestampTz('opened_at');
            $table->foreignId('closed_by')->nullable()->constrained('people');
            $table->timestampTz('closed_at')->nullable();
        });
        DB::statement('CREATE UNIQUE INDEX look_lists_one_open ON look_lists (fault) WHERE closed_at IS NULL');
        Schema::create('looks_owed', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('look_list_id')->constrained('look_lists');
            $table->foreignId('machine_id')->index()->constrained('machines');
            $table->boolean('affected')->nullable();
            $table->string('note', 200)->nullable();
            $table->foreignId('job_id')->nullable()->constrained('jobs');
            $table->foreignId('looked_by')->nullable()->constrained('people');
            $table->timestampTz('looked_at')->nullable();
            $table->unique(['look_list_id', 'machine_id']);
        });
        DB::statement('ALTER TABLE looks_owed ADD CONSTRAINT looks_owed_whole CHECK ((affected IS NULL) = (looked_at IS NULL) AND (affected IS NULL) = (looked_by IS NULL))');
    }
};
