<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Owners are people and companies of their own, and a machine has a history also where no job is open. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('owners', function (Blueprint $table): void {
            // two of the same name stay two
            $table->dropUnique('owners_name_unique');
            $table->boolean('company')->default(false);
            $table->string('address', 300)->nullable();
            $table->text('notes')->nullable();
            $table->foreignId('merged_into')->nullable()->constrained('owners');
            $table->timestampTz('erased_at')->nullable();
        });
        DB::statement('CREATE INDEX owners_name ON owners (lower(name))');
        Schema::table('machines', function (Blueprint $table): void {
            $table->text('notes')->nullable();
            $table->index('owner_id');
        });
        DB::statement('ALTER TABLE job_events ALTER COLUMN job_id DROP NOT NULL, ALTER COLUMN station DROP NOT NULL');
    }

    public function down(): void
    {
        DB::statement('DELETE FROM job_events WHERE job_id IS NULL');
        DB::statement('ALTER TABLE job_events ALTER COLUMN job_id SET NOT NULL, ALTER COLUMN station SET NOT NULL');
        Schema::table('machines', function (Blueprint $table): void {
            $table->dropIndex(['owner_id']);
            $table->dropColumn('notes');
        });
        DB::statement('DROP INDEX owners_name');
        Schema::table('owners', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('merged_into');
            $table->dropColumn(['company', 'address', 'notes', 'erased_at']);
            $table->unique('name');
        });
    }
};
