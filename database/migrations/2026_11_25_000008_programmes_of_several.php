<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('programme_versions', function (Blueprint $table) {
            $table->string('school', 20)->default('gentle-control');
            // In the patient's words, so encrypted.
            $table->text('goal')->nullable();
            // What changed and why, as the patient reads it.
            $table->text('patient_note')->nullable();
        });
        // Where a programme begins: a clinic's own, without a patient in it.
        Schema::create('programme_templates', function (Blueprint $table) {
            $table->ulid('id')->primary();
            $table->foreignId('clinic_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('name', 60);
            $table->json('fields');
            $table->timestamps();
            $table->unique(['clinic_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('programme_templates');
        Schema::table('programme_versions', fn (Blueprint $table) => $table->dropColumn(['school', 'goal', 'patient_note']));
    }
};
