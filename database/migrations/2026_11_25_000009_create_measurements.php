<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What a patient rates from 0 to 10, as chosen with the practitioner.
        Schema::create('chosen_symptoms', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->string('name', 60);
            $table->dateTime('dropped_at')->nullable();
            $table->timestamps();
            $table->unique(['patient_id', 'name']);
        });

        Schema::create('measurements', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('measure', 20);
            $table->foreignId('chosen_symptom_id')->nullable()->constrained();
            $table->decimal('value', 7, 3);
            // Taps or tries that it was computed from, and what else was seen.
            $table->json('details')->nullable();
            $table->string('position', 30);
            $table->string('method', 20);
            $table->dateTime('measured_at');
            $table->index(['patient_id', 'measure', 'measured_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('measurements');
        Schema::dropIfExists('chosen_symptoms');
    }
};
