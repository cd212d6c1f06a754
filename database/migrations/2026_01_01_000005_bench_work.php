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
        $this->safety();
        $this->diagnosis();
        $this->repair();
    }

    private function safety(): void
    {
        Schema::create('safety_answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('question', 40);
            $table->boolean('yes');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index(['job_id', 'question']);
        });
        Schema::create('red_tags', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('machines');
            $table->foreignId('job_id')->constrained('jobs');
            $table->text('reason');
            $table->foreignId('put_on_by')->constrained('people');
            $table->timestampTz('put_on_at');
            $table->text('cause')->nullable();
            $table->text('measurement')->nullable();
            $table->foreignId('off_asked_by')->nullable()->constrained('people');
            $table->timestampTz('off_asked_at')->nullable();
            $table->foreignId('countersigned_by')->nullable()->constrained('people');
            $table->timestampTz('off_at')->nullable();
        });
        DB::statement('CREATE UNIQUE INDEX red_tags_one_on ON red_tags (machine_id) WHERE off_at IS NULL');
        DB::statement('ALTER TABLE red_tags ADD CONSTRAINT red_tags_two_people CHECK (off_at IS NULL OR (cause IS NOT NULL AND measurement IS NOT NULL AND countersigned_by IS NOT NULL AND countersigned_by <> off_asked_by))');
        Schema::create('supervised_tests', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('red_tag_id')->unique()->constrained('red_tags');
            $table->text('test');
            $table->string('beside_the_switch', 120);
            $table->foreignId('signed_by')->constrained('people');
            $table->timestampTz('signed_at');
            $table->text('result')->nullable();
            $table->foreignId('done_by')->nullable()->constrained('people');
            $table->timestampTz('done_at')->nullable();
        });
    }

    private function diagnosis(): void
    {
        Schema::create('job_findings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('code', 60);
            $table->boolean('present');
            $table->string('source', 60);
            $table->string('value', 60)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->foreignId('withdrawn_by')->nullable()->constrained('people');
            $table->timestampTz('withdrawn_at')->nullable();
        });
        DB::statement('CREATE UNIQUE INDEX job_findings_one ON job_findings (job_id, code) WHERE withdrawn_at IS NULL');
        Schema::create('diagnoses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('fault', 60)->index();
            $table->double('probability');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->timestampTz('superseded_at')->nullable();
            $table->foreignId('superseded_by')->nullable()->constrained('people');
            $table->string('overturned_by', 60)->nullable();
        });
        DB::statement('CREATE UNIQUE INDEX diagnoses_one ON diagnoses (job_id, fault) WHERE superseded_at IS NULL');
        DB::statement('ALTER TABLE diagnoses ADD CONSTRAINT diagnoses_probability CHECK (probability BETWEEN 0 AND 1)');
        Schema::create('hidden_checks', function (Blueprint $table): void {
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('code', 60);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->primary(['job_id', 'code']);
        });
        // Counted by the queue worker from finished jobs; what the ranking’s rates are corrected with.
        Schema::create('fault_counts', function (Blueprint $table): void {
            $table->string('family', 40);
            $table->string('fault', 60);
            $table->integer('jobs');
            $table->primary(['family', 'fault']);
        });
    }

    private function repair(): void
    {
        Schema::create('mends', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('fault', 60)->nullable();
            $table->text('done');
            $table->jsonb('touched');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
        });
        Schema::create('proof_results', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('proof', 60);
            $table->boolean('passed');
            $table->double('value')->nullable();
            $table->string('unit', 20)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index(['job_id', 'id']);
        });
        Schema::create('releases', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->unique()->constrained('jobs');
            $table->string('destination', 10);
            $table->text('note')->nullable();
            $table->text('danger')->nullable();
            $table->bigInteger('price_minor')->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
        });
    }
};
