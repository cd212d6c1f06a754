<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What sits in a position and why, warranty, service that comes round, papers of a family. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('fittings', function (Blueprint $table): void {
            $table->foreignId('job_id')->nullable()->constrained('jobs');
            $table->string('reason', 200)->nullable();
            $table->boolean('upgrade')->default(false);
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('became', 10)->nullable();
            $table->string('grade', 10)->nullable();
            $table->foreignId('removed_by')->nullable()->constrained('people');
        });
        DB::statement("ALTER TABLE fittings ADD CONSTRAINT fittings_became CHECK (became IN ('scrap','spare','seller','lost') AND (became <> 'spare' OR grade IN ('tested','untested')))");
        Schema::create('rail_turns', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('machines');
            $table->string('position', 60);
            $table->smallInteger('face');
            $table->foreignId('job_id')->constrained('jobs');
            $table->decimal('hours', 10, 1)->nullable();
            $table->string('reason', 200)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index(['machine_id', 'position']);
        });
        Schema::table('machines', function (Blueprint $table): void {
            $table->date('warranty_until')->nullable();
            $table->string('warranty_by', 10)->nullable();
            $table->string('warranty_note', 200)->nullable();
        });
        DB::statement("ALTER TABLE machines ADD CONSTRAINT machines_warranty CHECK ((warranty_until IS NULL) = (warranty_by IS NULL) AND warranty_by IN ('maker','seller'))");
        Schema::table('jobs', function (Blueprint $table): void {
            $table->string('warranty_choice', 10)->nullable();
            $table->json('service_items')->nullable();
        });
        DB::statement("ALTER TABLE jobs ADD CONSTRAINT jobs_warranty_choice CHECK (warranty_choice IN ('claim','mend'))");
        Schema::create('services_done', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('machines');
            $table->string('item', 60);
            $table->foreignId('job_id')->constrained('jobs');
            $table->decimal('hours', 10, 1)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index(['machine_id', 'item', 'id']);
        });
        Schema::create('papers', function (Blueprint $table): void {
            $table->id();
            $table->string('family', 40)->index();
            $table->string('title', 160);
            $table->string('path', 120);
            $table->string('mime', 30);
            $table->integer('bytes');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->timestampTz('withdrawn_at')->nullable();
        });
        Schema::create('paper_marks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('paper_id')->index()->constrained('papers');
            $table->smallInteger('page')->default(1);
            $table->double('x')->nullable();
            $table->double('y')->nullable();
            $table->string('kind', 10);
            $table->string('code', 60);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
        });
        DB::statement("ALTER TABLE paper_marks ADD CONSTRAINT paper_marks_where CHECK (kind IN ('position','socket') AND page >= 1 AND (x IS NULL OR (x BETWEEN 0 AND 1 AND y BETWEEN 0 AND 1)))");
    }
};
