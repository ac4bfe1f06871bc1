<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A habit that was looked after, once: no practice, for nobody was led and nothing was measured. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('habit_ticks', function (Blueprint $table) {
            $table->id();
            $table->uuid('uuid')->unique();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('programme_version_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->char('lineage', 26);
            $table->dateTime('ticked_at');
            $table->dateTime('received_at');
            $table->index(['patient_id', 'ticked_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('habit_ticks');
    }
};
