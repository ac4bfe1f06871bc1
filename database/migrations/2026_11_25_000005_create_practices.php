<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practices', function (Blueprint $table) {
            $table->id();
            $table->uuid('uuid')->unique();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('programme_version_id')->constrained();
            $table->foreignId('device_id')->nullable()->constrained();
            $table->ulid('lineage');
            $table->string('anchor', 20)->nullable();
            $table->dateTime('started_at');
            $table->dateTime('ended_at');
            $table->dateTime('received_at');
            $table->integer('clock_offset_s')->default(0);
            $table->unsignedSmallInteger('breaths_done')->default(0);
            $table->unsignedSmallInteger('breaths_prescribed')->default(0);
            $table->unsignedSmallInteger('seconds_done');
            $table->unsignedSmallInteger('seconds_prescribed');
            // Lengths over the prescribed ones at the end; null as prescribed.
            $table->decimal('tempo', 4, 2)->nullable();
            $table->unsignedTinyInteger('before')->nullable();
            $table->unsignedTinyInteger('after')->nullable();
            $table->unsignedTinyInteger('effort')->nullable();
            $table->string('smooth', 10)->nullable();
            $table->boolean('slight_symptom')->nullable();
            // Lengths of open cues in ms, as they were ended: hums.
            $table->json('open_ms')->nullable();
            $table->text('remark')->nullable();
            $table->string('stop_class', 20)->nullable();
            $table->string('stop_symptom', 30)->nullable();
            $table->string('source', 10)->default('device');
            $table->index(['patient_id', 'started_at']);
            $table->index(['patient_id', 'lineage', 'started_at']);
        });

        Schema::create('pauses', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->ulid('lineage')->nullable();
            $table->string('rule', 40);
            // The practice that was stopped, or the finding that a new fact brought.
            $table->foreignId('practice_id')->nullable()->constrained();
            $table->string('cause', 190)->nullable();
            $table->dateTime('from_at');
            $table->dateTime('until_at')->nullable();
            $table->foreignId('ended_by')->nullable()->constrained('practitioners');
            $table->text('looked_at')->nullable();
            $table->index(['patient_id', 'until_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('pauses');
        Schema::dropIfExists('practices');
    }
};
