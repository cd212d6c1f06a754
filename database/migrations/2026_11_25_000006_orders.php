<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Who sells a part, in what packs; what was ordered, and what of it has come. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('suppliers', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120)->unique();
            $table->string('contact', 200)->nullable();
            $table->integer('lead_days');
            $table->bigInteger('minimum_minor')->default(0);
            $table->bigInteger('freight_minor')->default(0);
            $table->timestampsTz();
        });
        DB::statement('ALTER TABLE suppliers ADD CONSTRAINT suppliers_figures CHECK (lead_days BETWEEN 0 AND 365 AND minimum_minor >= 0 AND freight_minor >= 0)');
        // the one it is bought from; where else it can be had comes later
        Schema::create('supplies', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('part_id')->unique()->constrained('parts');
            $table->foreignId('supplier_id')->index()->constrained('suppliers');
            $table->string('number', 60)->nullable();
            $table->integer('pack');
            $table->bigInteger('pack_cost_minor');
        });
        DB::statement('ALTER TABLE supplies ADD CONSTRAINT supplies_figures CHECK (pack >= 1 AND pack_cost_minor >= 0)');
        Schema::create('orders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('supplier_id')->constrained('suppliers');
            $table->string('note', 500)->nullable();
            $table->bigInteger('freight_minor');
            $table->timestampTz('expected_at');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('sent_at');
            $table->timestampTz('closed_at')->nullable()->index();
            $table->string('closed_because', 300)->nullable();
        });
        Schema::create('order_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained('orders');
            $table->foreignId('part_id')->index()->constrained('parts');
            $table->integer('packs');
            $table->integer('pack');
            $table->bigInteger('pack_cost_minor');
            $table->integer('received')->default(0);
            $table->unique(['order_id', 'part_id']);
        });
        DB::statement('ALTER TABLE order_lines ADD CONSTRAINT order_lines_figures CHECK (packs >= 1 AND pack >= 1 AND received >= 0)');
        Schema::table('movements', function (Blueprint $table): void {
            $table->foreignId('order_line_id')->nullable()->index()->constrained('order_lines');
            $table->index(['at', 'part_id']);
        });
    }
};
