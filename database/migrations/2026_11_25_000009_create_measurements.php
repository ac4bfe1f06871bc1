<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('measurements', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('measure', 20);
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
    }
};
