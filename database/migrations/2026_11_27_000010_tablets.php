<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Six digits somebody signs with on a tablet that others use too, and what was done that a lead may want to know of. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people', static fn (Blueprint $table) => $table->string('pin')->nullable());
        Schema::create('security_events', function (Blueprint $table): void {
            $table->id();
            $table->timestampTz('at');
            $table->string('what', 40);
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('about', 200)->nullable();
            $table->string('address', 45)->nullable();
            $table->smallInteger('status');
            $table->index('at');
        });
    }

    public function down(): void
    {
        Schema::table('people', static fn (Blueprint $table) => $table->dropColumn('pin'));
        Schema::drop('security_events');
    }
};
