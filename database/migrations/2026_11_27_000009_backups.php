<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Every backup that was tried: what came of it, and whether it was restored to prove it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('backups', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 12);
            $table->string('file', 200)->nullable();
            $table->bigInteger('bytes')->nullable();
            $table->timestampTz('began_at');
            $table->timestampTz('proved_at')->nullable();
            $table->text('problem')->nullable();
            $table->index('began_at');
        });
        DB::statement("ALTER TABLE backups ADD CONSTRAINT backups_kind CHECK (kind IN ('nightly', 'update', 'restore', 'hand'))");
    }

    public function down(): void
    {
        Schema::drop('backups');
    }
};
