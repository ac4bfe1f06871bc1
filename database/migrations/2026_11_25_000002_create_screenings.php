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

        Schema::create('red_flag_actions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('screening_answer_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->text('action');
            $table->dateTime('recorded_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('red_flag_actions');
        Schema::dropIfExists('screening_answers');
        Schema::dropIfExists('screenings');
    }
};
