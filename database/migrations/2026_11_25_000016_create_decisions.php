<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What was decided for an exercise in a session, beside what had been proposed.
        Schema::create('decisions', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('care_session_id')->constrained();
            $table->foreignId('clinic_id')->constrained();
            $table->ulid('lineage');
            $table->string('proposed', 20)->nullable();
            $table->string('decided', 20);
            $table->boolean('agrees')->nullable();
            $table->dateTime('decided_at');
            $table->unique(['care_session_id', 'lineage']);
            $table->index(['clinic_id', 'decided_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('decisions');
    }
};
