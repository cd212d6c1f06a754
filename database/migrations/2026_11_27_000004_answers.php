<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Answers go to the runner as a file; shops that ran the heat migration in its second form have no such column any more. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE proof_runs DROP COLUMN IF EXISTS answer');
    }

    public function down(): void
    {
        if (! Schema::hasColumn('proof_runs', 'answer')) {
            Schema::table('proof_runs', fn (Blueprint $table) => $table->string('answer', 60)->nullable());
        }
    }
};
