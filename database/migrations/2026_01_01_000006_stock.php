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
        Schema::create('parts', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 30)->unique();
            $table->string('name', 160);
            $table->string('class', 40)->index();
            $table->string('bin', 12)->index();
            // On hand and its value are the sums of the movements, kept by the same transaction under the row’s lock.
            $table->integer('on_hand')->default(0);
            $table->bigInteger('value_minor')->default(0);
            $table->timestampsTz();
        });
        DB::statement('ALTER TABLE parts ADD CONSTRAINT parts_never_below_zero CHECK (on_hand >= 0 AND value_minor >= 0)');
        Schema::create('movements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('part_id')->constrained('parts');
            $table->string('kind', 12);
            $table->integer('quantity');
            $table->bigInteger('value_minor');
            $table->foreignId('job_id')->nullable()->index()->constrained('jobs');
            $table->string('position', 60)->nullable();
            $table->foreignId('undoes_id')->nullable()->unique()->constrained('movements');
            $table->string('note', 200)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index(['part_id', 'id']);
        });
        DB::statement("ALTER TABLE movements ADD CONSTRAINT movements_kind CHECK (kind IN ('received','used','returned','counted','scrapped'))");
        DB::statement('ALTER TABLE movements ADD CONSTRAINT movements_not_nothing CHECK (quantity <> 0)');
        Schema::create('fittings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('machines');
            $table->string('position', 60);
            $table->foreignId('part_id')->nullable()->constrained('parts');
            $table->foreignId('movement_id')->nullable()->unique()->constrained('movements');
            $table->timestampTz('fitted_at');
            $table->decimal('fitted_hours', 10, 1)->nullable();
            $table->timestampTz('removed_at')->nullable();
            $table->decimal('removed_hours', 10, 1)->nullable();
            $table->index(['machine_id', 'position']);
        });
        DB::statement('CREATE UNIQUE INDEX fittings_one ON fittings (machine_id, position) WHERE removed_at IS NULL');
    }
};
