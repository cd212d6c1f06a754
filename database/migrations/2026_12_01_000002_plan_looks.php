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
        Schema::table('plans', function (Blueprint $table): void {
            // what Find said of each open job when it was read; of plans made before this nothing is known
            $table->jsonb('looked')->default('{}');
        });
        DB::statement('ALTER TABLE plans ALTER COLUMN looked DROP DEFAULT');
        Schema::table('jobs', function (Blueprint $table): void {
            // whether anything is hot while it runs by itself; nothing where nobody has said
            $table->boolean('waits_hot')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('jobs', fn (Blueprint $table) => $table->dropColumn('waits_hot'));
        Schema::table('plans', fn (Blueprint $table) => $table->dropColumn('looked'));
    }
};
