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
        Schema::create('hours', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->smallInteger('weekday');
            $table->smallInteger('opens');
            $table->smallInteger('closes');
            $table->index(['person_id', 'weekday']);
        });
        DB::statement('ALTER TABLE hours ADD CONSTRAINT hours_of_a_day CHECK (weekday BETWEEN 1 AND 7 AND opens >= 0 AND closes <= 1440 AND opens < closes)');
        // until a shop says its own
        foreach ([1, 2, 3, 4, 5] as $weekday) {
            DB::table('hours')->insert(['weekday' => $weekday, 'opens' => 540, 'closes' => 1020]);
        }
        Schema::create('days_off', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->date('first');
            $table->date('last');
            // a part of the day only, minutes of the clock
            $table->smallInteger('from_minute')->nullable();
            $table->smallInteger('to_minute')->nullable();
            $table->string('why', 120);
            $table->index('last');
        });
        DB::statement('ALTER TABLE days_off ADD CONSTRAINT days_off_in_order CHECK (first <= last AND (from_minute IS NULL) = (to_minute IS NULL)
            AND (from_minute IS NULL OR (from_minute >= 0 AND from_minute < to_minute AND to_minute <= 1440)))');
        Schema::table('people', function (Blueprint $table): void {
            // hash of the secret in the address of somebody's calendar
            // not unique: that would have every change of it wait for whoever notes a key of the same person
            $table->char('calendar_secret', 64)->nullable()->index();
        });
        Schema::create('plan_news', function (Blueprint $table): void {
            $table->id();
            $table->string('because', 200);
            $table->timestampTz('at');
        });
        Schema::create('plans', function (Blueprint $table): void {
            $table->id();
            $table->timestampTz('made_at');
            $table->integer('took_ms');
            $table->string('because', 500);
            $table->jsonb('changes');
            // how far each open job was when it was read
            $table->jsonb('versions');
            $table->jsonb('body');
        });
        Schema::create('plan_moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('step', 200);
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->timestampTz('not_before')->nullable();
            $table->foreignId('moved_by')->constrained('people');
            $table->timestampTz('at');
            $table->unique(['job_id', 'step']);
        });
        Schema::create('promises', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('kind', 20);
            $table->date('promised_for')->nullable();
            $table->date('half');
            $table->date('eighty');
            $table->date('ninety');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->index('job_id');
        });
        Schema::create('job_waits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('cause', 12);
            $table->timestampTz('began_at');
            $table->timestampTz('ended_at')->nullable();
            $table->index('ended_at');
        });
        DB::statement('CREATE UNIQUE INDEX job_waits_one_open ON job_waits (job_id) WHERE ended_at IS NULL');
        DB::statement(
            "INSERT INTO job_waits (job_id, cause, began_at) SELECT id, coalesce(waits_for, 'hands'), coalesce(waits_since, station_since)
            FROM jobs WHERE finished_at IS NULL",
        );
        Schema::create('reckoned_minutes', function (Blueprint $table): void {
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('station', 20);
            $table->integer('minutes');
            $table->primary(['job_id', 'station']);
        });
    }

    public function down(): void
    {
        foreach (['reckoned_minutes', 'job_waits', 'promises', 'plan_moves', 'plans', 'plan_news'] as $table) {
            Schema::drop($table);
        }
        Schema::table('people', fn (Blueprint $table) => $table->dropColumn('calendar_secret'));
        Schema::drop('days_off');
        Schema::drop('hours');
    }
};
