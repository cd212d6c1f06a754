<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where an owner wrote an answer from. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('estimate_answers', function (Blueprint $table): void {
            $table->string('address', 45)->nullable();
        });
    }
};
