<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What work costs and brings: estimates and their answers, bills, what owners were told, who may see money. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people', fn (Blueprint $table) => $table->boolean('sees_money')->default(false));
        DB::statement('ALTER TABLE jobs DROP CONSTRAINT jobs_waits');
        DB::statement("ALTER TABLE jobs ADD CONSTRAINT jobs_waits CHECK (waits_for IN ('itself','part','person','claim','owner'))");
        Schema::table('jobs', function (Blueprint $table): void {
            $table->timestampTz('waits_since')->nullable();
            // an estimate stands with its owner: most jobs have none, and need not be looked up
            $table->boolean('asked')->default(false);
        });
        Schema::create('estimates', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->smallInteger('number');
            $table->bigInteger('expected_minor');
            $table->bigInteger('ceiling_minor');
            // json, not jsonb: it is read as it was written
            $table->json('frozen');
            $table->string('way', 8);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->timestampTz('superseded_at')->nullable();
            $table->unique(['job_id', 'number']);
        });
        DB::statement('CREATE UNIQUE INDEX estimates_one_stands ON estimates (job_id) WHERE superseded_at IS NULL');
        DB::statement("ALTER TABLE estimates ADD CONSTRAINT estimates_way CHECK (way IN ('phone','letter','email','page','counter'))");
        Schema::create('estimate_answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('estimate_id')->unique()->constrained('estimates');
            $table->string('answer', 12);
            $table->bigInteger('up_to_minor')->nullable();
            $table->string('said_by', 120);
            $table->string('way', 8);
            $table->boolean('late');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->timestampTz('at');
        });
        DB::statement("ALTER TABLE estimate_answers ADD CONSTRAINT estimate_answers_are CHECK (
            (answer = 'do-not-mend' AND up_to_minor IS NULL) OR (answer IN ('go-ahead','ask-above') AND up_to_minor >= 0))");
        Schema::create('messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('kind', 10);
            $table->string('way', 8);
            $table->text('text');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->timestampTz('at');
            $table->index(['job_id', 'id']);
        });
        DB::statement("ALTER TABLE messages ADD CONSTRAINT messages_are CHECK (kind IN ('told','answered','estimate','ready','reminder')
            AND way IN ('phone','letter','email','page','counter'))");
        Schema::create('bills', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->unique()->constrained('jobs');
            $table->integer('number')->unique();
            $table->json('lines');
            $table->decimal('minutes', 10, 3);
            $table->bigInteger('hands_minor');
            $table->bigInteger('parts_minor');
            $table->bigInteger('freight_minor');
            $table->bigInteger('net_minor');
            $table->decimal('tax_pct', 5, 2);
            $table->bigInteger('tax_minor');
            $table->bigInteger('gross_minor');
            $table->bigInteger('own_cost_minor');
            $table->string('free_because', 300)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at')->index();
        });
        DB::statement('ALTER TABLE bills ADD CONSTRAINT bills_add_up CHECK (net_minor + tax_minor = gross_minor AND net_minor >= 0
            AND tax_minor >= 0 AND own_cost_minor >= 0 AND (free_because IS NULL OR gross_minor = 0))');
        Schema::create('pickups', function (Blueprint $table): void {
            $table->foreignId('job_id')->primary()->constrained('jobs');
            $table->date('ready_on');
            $table->integer('free_days');
            $table->bigInteger('per_day_minor');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
        });
        Schema::create('reminders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->smallInteger('after_days');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->unique(['job_id', 'after_days']);
        });
        Schema::create('claims', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->index()->constrained('machines');
            $table->foreignId('job_id')->nullable()->constrained('jobs');
            $table->string('against', 120);
            $table->string('against_is', 8);
            $table->string('claims', 8);
            $table->string('what', 300);
            $table->bigInteger('worth_minor');
            $table->bigInteger('effort_minor')->default(0);
            $table->date('deadline')->nullable();
            $table->date('next_on')->nullable();
            $table->string('video', 300)->nullable();
            $table->json('proof');
            $table->string('state', 8)->default('open');
            $table->bigInteger('got_minor')->nullable();
            $table->integer('version')->default(1);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->timestampTz('closed_at')->nullable();
        });
        DB::statement("ALTER TABLE claims ADD CONSTRAINT claims_are CHECK (against_is IN ('seller','maker','supplier')
            AND claims IN ('machine','part','money') AND state IN ('open','won','partly','lost','dropped')
            AND (state = 'open') = (closed_at IS NULL) AND worth_minor >= 0 AND (got_minor IS NULL OR got_minor >= 0))");
        DB::statement('CREATE INDEX claims_open ON claims (next_on) WHERE closed_at IS NULL');
        Schema::create('claim_words', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('claim_id')->index()->constrained('claims');
            $table->string('said_by', 4);
            $table->text('text');
            $table->date('said_on');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
        });
        DB::statement("ALTER TABLE claim_words ADD CONSTRAINT claim_words_are CHECK (said_by IN ('we','they'))");
        Schema::create('offers', function (Blueprint $table): void {
            $table->id();
            $table->string('family', 40);
            $table->string('seller', 120);
            $table->text('says');
            $table->json('findings');
            $table->string('missing', 300)->nullable();
            $table->bigInteger('asked_minor')->nullable();
            $table->bigInteger('freight_minor')->default(0);
            $table->bigInteger('missing_minor')->default(0);
            $table->bigInteger('selling_minor')->default(0);
            $table->bigInteger('sells_minor');
            $table->bigInteger('single_minor')->nullable();
            $table->bigInteger('parts_minor');
            $table->bigInteger('margin_minor');
            $table->string('state', 8)->default('open');
            $table->bigInteger('bought_minor')->nullable();
            $table->bigInteger('most_minor')->nullable();
            $table->string('let_go_because', 300)->nullable();
            $table->foreignId('machine_id')->nullable()->unique()->constrained('machines');
            $table->integer('version')->default(1);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at');
            $table->timestampTz('decided_at')->nullable();
        });
        DB::statement("ALTER TABLE offers ADD CONSTRAINT offers_are CHECK (state IN ('open','bought','let-go')
            AND (state = 'bought') = (machine_id IS NOT NULL) AND (state = 'bought') = (bought_minor IS NOT NULL))");
        Schema::create('offer_stages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained('offers');
            $table->smallInteger('place');
            $table->string('name', 120);
            $table->bigInteger('cost_minor');
            $table->double('passes');
            $table->bigInteger('fallback_minor');
            $table->string('end', 40);
            $table->string('outcome', 8)->nullable();
            $table->bigInteger('real_minor')->nullable();
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->timestampTz('done_at')->nullable();
            $table->unique(['offer_id', 'place']);
        });
        DB::statement("ALTER TABLE offer_stages ADD CONSTRAINT offer_stages_are CHECK (passes BETWEEN 0 AND 1 AND cost_minor >= 0
            AND fallback_minor >= 0 AND (outcome IS NULL OR outcome IN ('passed','failed','stopped')))");
        // What a machine was sold for; what it is asked for stands with its release.
        Schema::create('sales', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->index()->constrained('machines');
            $table->bigInteger('price_minor');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('at')->index();
        });
        DB::statement('ALTER TABLE sales ADD CONSTRAINT sales_are CHECK (price_minor >= 0)');
        // What a machine was taken apart into, each with its share of what the machine cost.
        Schema::create('pieces', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('machines');
            $table->string('name', 160);
            $table->string('position', 60)->nullable();
            $table->bigInteger('worth_minor');
            $table->bigInteger('cost_minor');
            $table->bigInteger('sold_minor')->nullable();
            $table->foreignId('movement_id')->nullable()->unique()->constrained('movements');
            $table->timestampTz('gone_at')->nullable();
            $table->unique(['machine_id', 'position']);
        });
    }

    public function down(): void
    {
        foreach ([
            'pieces', 'sales', 'offer_stages', 'offers', 'claim_words', 'claims', 'reminders', 'pickups', 'bills', 'messages',
            'estimate_answers', 'estimates',
        ] as $table) {
            Schema::drop($table);
        }
        DB::statement("UPDATE jobs SET waits_for = 'person' WHERE waits_for = 'owner'");
        DB::statement('ALTER TABLE jobs DROP CONSTRAINT jobs_waits');
        DB::statement("ALTER TABLE jobs ADD CONSTRAINT jobs_waits CHECK (waits_for IN ('itself','part','person','claim'))");
        Schema::table('jobs', fn (Blueprint $table) => $table->dropColumn(['waits_since', 'asked']));
        Schema::table('people', fn (Blueprint $table) => $table->dropColumn('sees_money'));
    }
};
