<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A statement of danger may be left “not checked”: nobody knows it without measuring. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE safety_answers ALTER COLUMN yes DROP NOT NULL');
    }

    public function down(): void
    {
        DB::statement('DELETE FROM safety_answers WHERE yes IS NULL');
        DB::statement('ALTER TABLE safety_answers ALTER COLUMN yes SET NOT NULL');
    }
};
