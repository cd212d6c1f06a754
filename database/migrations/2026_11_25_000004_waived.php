<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A lead may waive a proof in words; it stands as long as a result would. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('proof_results', fn (Blueprint $table) => $table->text('waived_because')->nullable());
    }
};
