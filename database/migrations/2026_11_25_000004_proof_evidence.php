<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A lead may waive a proof in words, and it stands as long as a result would; what was shown by hand keeps its log and photograph. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('proof_results', function (Blueprint $table): void {
            $table->text('waived_because')->nullable();
            $table->text('note')->nullable();
            $table->text('log')->nullable();
            $table->foreignId('photograph_id')->nullable()->constrained('photographs');
        });
    }
};
