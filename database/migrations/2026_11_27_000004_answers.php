<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Answers go to the runner as a file; shops that ran the heat migration in its first form have a column for them still. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE proof_runs DROP COLUMN IF EXISTS answer');
    }
};
