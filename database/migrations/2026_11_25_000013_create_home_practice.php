<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('practices', function (Blueprint $table) {
            // The least that still counts, for a bad day.
            $table->boolean('is_short')->default(false);
            // Length in ms of the patient's own breath, when the practice began with it.
            $table->unsignedSmallInteger('joined_ms')->nullable();
            // Until breath had come back, for a recovery exercise.
            $table->unsignedSmallInteger('recovered_after_s')->nullable();
            $table->unsignedSmallInteger('interruptions')->default(0);
        });

        Schema::create('put_offs', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->date('day');
            $table->ulid('lineage');
            $table->string('anchor', 20);
            $table->string('reason', 20);
            $table->dateTime('said_at');
            $table->unique(['patient_id', 'day', 'lineage', 'anchor']);
        });

        Schema::create('home_checks', function (Blueprint $table) {
            $table->id();
            $table->uuid('uuid')->unique();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->dateTime('taken_at');
            $table->json('taps');
            $table->decimal('rate', 5, 2);
            $table->unsignedTinyInteger('doubtful');
            $table->index(['patient_id', 'taken_at']);
        });

        // What a device that had been signed out still sent: a practitioner accepts or refuses it.
        Schema::create('kept_asides', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->string('item', 64);
            $table->string('kind', 20);
            $table->text('body');
            $table->boolean('is_urgent')->default(false);
            $table->dateTime('sent_at');
            $table->dateTime('received_at');
            $table->dateTime('settled_at')->nullable();
            $table->foreignId('settled_by')->nullable()->constrained('practitioners');
            $table->boolean('accepted')->nullable();
            $table->unique(['device_id', 'item']);
            $table->index(['patient_id', 'settled_at']);
        });
    }

    public function down(): void
    {
        foreach (['kept_asides', 'home_checks', 'put_offs'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table(
            'practices', fn (Blueprint $table) => $table->dropColumn(['is_short', 'joined_ms', 'recovered_after_s', 'interruptions']),
        );
    }
};
