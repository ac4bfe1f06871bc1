<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('screenings', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->text('remark')->nullable();
            // The answers that the patient sent beforehand, which this confirms.
            $table->ulid('asked_form_id')->nullable();
            $table->dateTime('completed_at');
            $table->index(['patient_id', 'completed_at']);
        });

        Schema::create('screening_answers', function (Blueprint $table) {
            $table->id();
            $table->foreignId('screening_id')->constrained();
            $table->string('question', 60);
            $table->boolean('answer');
            $table->date('ends_on')->nullable();
            $table->unsignedTinyInteger('pregnancy_weeks')->nullable();
            $table->unique(['screening_id', 'question']);
        });

        // A red flag stays open until an action is recorded, whatever a later screening says.
        Schema::create('raised_red_flags', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->string('flag', 40);
            // From a screening, a measured value, or the patient's own answers at home.
            $table->string('source', 12);
            $table->string('detail', 160)->nullable();
            $table->dateTime('raised_at');
            $table->index(['patient_id', 'flag']);
        });

        Schema::create('red_flag_actions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('raised_red_flag_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->text('action');
            $table->dateTime('recorded_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('red_flag_actions');
        Schema::dropIfExists('raised_red_flags');
        Schema::dropIfExists('screening_answers');
        Schema::dropIfExists('screenings');
    }
};
