<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was measured in a job, with what the instrument made of it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->index()->constrained('jobs');
            $table->foreignId('machine_id')->constrained('machines');
            $table->string('instrument', 40);
            $table->string('position', 60)->nullable();
            $table->decimal('hours', 10, 1)->nullable();
            $table->json('input');
            $table->json('result');
            $table->double('value')->nullable();
            $table->string('unit', 20);
            $table->string('verdict', 16)->nullable();
            $table->text('because')->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index(['machine_id', 'instrument', 'position', 'id']);
            $table->index(['instrument', 'position', 'id']);
        });
    }
};
