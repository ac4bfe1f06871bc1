<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whoever runs the server lets somebody found a clinic, once and for a few days. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('foundings', function (Blueprint $table) {
            $table->id();
            $table->string('token_hash', 64)->unique();
            $table->dateTime('made_at');
            $table->dateTime('expires_at');
            $table->dateTime('used_at')->nullable();
            $table->foreignId('clinic_id')->nullable()->constrained();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('foundings');
    }
};
