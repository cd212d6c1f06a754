<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Each fitting names the one it replaces, and each end the movement that ended it: two clocks need not agree. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('fittings', function (Blueprint $table): void {
            $table->foreignId('replaces_id')->nullable()->constrained('fittings')->nullOnDelete();
            $table->foreignId('ended_by')->nullable()->constrained('movements');
        });
        // until now both were told from each other by their times alone: what ended within seconds of a fitting before it in the ledger
        DB::statement(<<<'SQL'
            UPDATE fittings f SET replaces_id = b.id
            FROM fittings b
            WHERE f.movement_id IS NOT NULL AND b.machine_id = f.machine_id AND b.position = f.position AND b.id < f.id
              AND abs(extract(epoch FROM b.removed_at - f.fitted_at)) < 10
              AND NOT EXISTS (SELECT 1 FROM fittings m WHERE m.machine_id = f.machine_id AND m.position = f.position AND m.id < f.id AND m.id > b.id)
            SQL);
        DB::statement('UPDATE fittings b SET ended_by = f.movement_id FROM fittings f WHERE f.replaces_id = b.id');
    }

    public function down(): void
    {
        Schema::table('fittings', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('replaces_id');
            $table->dropConstrainedForeignId('ended_by');
        });
    }
};
