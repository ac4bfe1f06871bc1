<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('diary_entries', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->date('day');
            // Ratings by chosen symptom, sleep and a line of text, encrypted together.
            $table->text('content');
            $table->boolean('is_late');
            $table->dateTime('written_at');
            $table->unique(['patient_id', 'day']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('diary_entries');
    }
};
