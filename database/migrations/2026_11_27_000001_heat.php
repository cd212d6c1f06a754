<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Which printer a run speaks with, and whether its heaters are known to be off. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('proof_runs', function (Blueprint $table): void {
            $table->string('address', 160)->nullable()->comment('as it is reached, so that two names of one printer are one');
            $table->string('heat', 12)->default('cold');
            $table->decimal('hotend_c', 6, 1)->nullable();
            $table->decimal('bed_c', 6, 1)->nullable();
            $table->timestampTz('measured_at')->nullable();
            $table->foreignId('unplugged_by')->nullable()->constrained('people');
            // answers go to the runner as a file
            $table->dropColumn('answer');
        });
        DB::statement("ALTER TABLE proof_runs ADD CONSTRAINT proof_runs_heat CHECK (heat IN ('cold','hot','unconfirmed','off'))");
        DB::statement("CREATE UNIQUE INDEX proof_runs_one_printer ON proof_runs (address) WHERE ended_at IS NULL OR heat IN ('hot','unconfirmed')");
    }
};
