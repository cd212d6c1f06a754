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
        Schema::create('people', function (Blueprint $table): void {
            $table->id();
            $table->string('login', 60)->unique();
            $table->string('name', 120);
            $table->string('password');
            $table->string('role', 20);
            $table->timestampTz('left_at')->nullable();
            $table->timestampsTz();
        });
        DB::statement("ALTER TABLE people ADD CONSTRAINT people_role CHECK (role IN ('technician','lead','counter','read-only'))");
        Schema::create('settings', function (Blueprint $table): void {
            $table->string('key', 60)->primary();
            $table->jsonb('value');
        });
        // One row for each write of the page, so that a retry changes nothing twice.
        Schema::create('once_keys', function (Blueprint $table): void {
            $table->foreignId('person_id')->constrained('people');
            $table->uuid('key');
            $table->char('request', 40);
            $table->smallInteger('status')->nullable();
            $table->text('body')->nullable();
            $table->timestampTz('created_at')->useCurrent()->index();
            $table->primary(['person_id', 'key']);
        });
    }
};
