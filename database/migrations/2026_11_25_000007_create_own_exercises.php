<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What a clinic has made itself. Programmes take a copy, so these may change and go.
        foreach (['own_exercises', 'own_routines'] as $name) {
            Schema::create($name, function (Blueprint $table) {
                $table->ulid('id')->primary();
                $table->foreignId('clinic_id')->constrained();
                $table->foreignId('practitioner_id')->constrained();
                $table->string('name', 60);
                $table->json('fields');
                $table->timestamps();
                $table->unique(['clinic_id', 'name']);
            });
        }

        Schema::table('practices', function (Blueprint $table) {
            // The step in which the patient said that it is enough, where breaths grow step by step.
            $table->unsignedTinyInteger('enough_step')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('practices', fn (Blueprint $table) => $table->dropColumn('enough_step'));
        Schema::dropIfExists('own_routines');
        Schema::dropIfExists('own_exercises');
    }
};
