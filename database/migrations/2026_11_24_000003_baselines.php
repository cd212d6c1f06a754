<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a healthy machine read when it was sent out; the newest of a kind counts. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('baselines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('machines');
            $table->foreignId('reading_id')->constrained('readings');
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('instrument', 60);
            $table->string('position', 60)->nullable();
            $table->double('value');
            $table->string('unit', 20);
            $table->timestampTz('at');
            $table->index(['machine_id', 'instrument', 'position', 'id']);
        });
        Schema::table('readings', fn (Blueprint $table) => $table->string('instrument', 60)->change());
    }
};
