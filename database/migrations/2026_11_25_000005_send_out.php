<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a machine leaves with: its sheet, its grade, the warranty of the repair, and the page its owner may see. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('machines', fn (Blueprint $table) => $table->string('page_key', 20)->nullable());
        foreach (DB::table('machines')->pluck('id') as $id) {
            DB::table('machines')->where('id', $id)->update(['page_key' => bin2hex(random_bytes(10))]);
        }
        DB::statement('ALTER TABLE machines ALTER COLUMN page_key SET NOT NULL');
        DB::statement('CREATE UNIQUE INDEX machines_page_key ON machines (page_key)');
        Schema::table('releases', function (Blueprint $table): void {
            // json, not jsonb: it is read as it was written
            $table->json('sheet')->nullable();
            $table->string('grade', 10)->nullable();
            $table->date('warranty_until')->nullable();
            $table->decimal('warranty_hours', 10, 1)->nullable();
        });
        DB::statement("ALTER TABLE releases ADD CONSTRAINT releases_grade CHECK (grade IN ('fresh','good','used','worn'))");
        Schema::table('diagnoses', fn (Blueprint $table) => $table->foreignId('comeback_of')->nullable()->constrained('jobs'));
        Schema::table('fault_counts', fn (Blueprint $table) => $table->integer('came_back')->default(0));
    }
};
