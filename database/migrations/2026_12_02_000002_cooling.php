<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Off is what is seen to cool; until then it may be on. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE proof_runs DROP CONSTRAINT proof_runs_heat');
        DB::statement("ALTER TABLE proof_runs ADD CONSTRAINT proof_runs_heat CHECK (heat IN ('cold','hot','cooling','unconfirmed','off'))");
        DB::statement('DROP INDEX proof_runs_one_printer');
        DB::statement(
            'CREATE UNIQUE INDEX proof_runs_one_printer ON proof_runs (address) '
                ."WHERE ended_at IS NULL OR heat IN ('hot','cooling','unconfirmed')",
        );
    }
};
