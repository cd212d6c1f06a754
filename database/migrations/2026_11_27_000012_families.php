<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Families a shop has written itself, or seen and not written yet; and what came along with a machine, in and out. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('families', function (Blueprint $table): void {
            $table->string('code', 40)->primary();
            $table->text('yaml');
            $table->string('picture', 200)->nullable();
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->timestampsTz(6);
        });
        Schema::create('accessories', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->string('code', 40)->nullable();
            $table->string('name', 80);
            $table->integer('came');
            $table->integer('went')->default(0);
            $table->string('stays_because', 200)->nullable();
            $table->unique(['job_id', 'name']);
        });
        DB::statement('ALTER TABLE accessories ADD CONSTRAINT accessories_counts '
            .'CHECK (came BETWEEN 1 AND 99 AND went BETWEEN 0 AND came)');
    }

    public function down(): void
    {
        Schema::drop('accessories');
        Schema::drop('families');
    }
};
