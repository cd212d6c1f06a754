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
        Schema::create('owners', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 160)->unique();
            $table->string('contact', 200)->nullable();
            $table->timestampsTz();
        });
        Schema::create('tag_counters', function (Blueprint $table): void {
            $table->char('letters', 2)->primary();
            $table->integer('next')->default(0);
        });
        Schema::create('machines', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 12)->unique();
            $table->string('family', 40)->index();
            $table->string('serial', 80)->nullable();
            $table->string('held_as', 10);
            $table->foreignId('owner_id')->nullable()->constrained('owners');
            $table->bigInteger('price_paid_minor')->nullable();
            $table->decimal('hours', 10, 1)->nullable();
            $table->string('place', 10)->default('service')->index();
            $table->timestampsTz();
            $table->unique(['family', 'serial']);
        });
        DB::statement("ALTER TABLE machines ADD CONSTRAINT machines_held_as CHECK (held_as IN ('owner','farm','resale'))");
        DB::statement("ALTER TABLE machines ADD CONSTRAINT machines_place CHECK (place IN ('bench','service','owner','sale','donor','scrap','unmended'))");
        DB::statement('ALTER TABLE machines ADD CONSTRAINT machines_owner CHECK ((held_as = \'owner\') = (owner_id IS NOT NULL))');
        DB::statement('ALTER TABLE machines ADD CONSTRAINT machines_figures CHECK (hours >= 0 AND price_paid_minor >= 0)');
    }
};
