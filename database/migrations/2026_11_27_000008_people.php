<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A code a lead hands over with which somebody sets a password, and who may work on mains, by whose word and until when. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people', function (Blueprint $table): void {
            $table->string('code')->nullable();
            $table->timestampTz('code_until')->nullable();
            $table->date('mains_until')->nullable();
            $table->string('mains_by', 120)->nullable();
        });
        DB::statement('ALTER TABLE people ADD CONSTRAINT people_mains CHECK ((mains_until IS NULL) = (mains_by IS NULL))');
    }

    public function down(): void
    {
        Schema::table('people', static fn (Blueprint $table) => $table->dropColumn(['code', 'code_until', 'mains_until', 'mains_by']));
    }
};
