<?php

declare(strict_types=1);

use App\Guard\Door\Door;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Devices of the room: belts, an oximeter. A short code pairs one, a token of its own lets it send.
        Schema::create('sensors', function (Blueprint $table) {
            $table->id();
            $table->foreignId('clinic_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('name', 60);
            $table->char('code_hash', 64)->nullable()->unique();
            $table->dateTime('code_until')->nullable();
            $table->char('token_hash', 64)->nullable()->unique();
            $table->dateTime('paired_at')->nullable();
            $table->dateTime('last_seen_at')->nullable();
            $table->dateTime('revoked_at')->nullable();
            $table->dateTime('created_at');
            $table->index(['clinic_id', 'revoked_at']);
        });

        // What a phone, belts or an oximeter measured during a practice or in the room: its numbers stay.
        Schema::create('recordings', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            // Of a practice it is the practice's own.
            $table->char('uuid', 36)->unique();
            $table->foreignId('practice_id')->nullable()->unique()->constrained('practices');
            $table->foreignId('measurement_id')->nullable()->constrained('measurements');
            $table->foreignId('practitioner_id')->nullable()->constrained();
            $table->foreignId('device_id')->nullable()->constrained();
            $table->foreignId('sensor_id')->nullable()->constrained();
            $table->string('kind', 10);
            $table->string('source', 10);
            $table->string('position', 20)->nullable();
            $table->string('about', 120)->nullable();
            $table->dateTime('started_at', 3);
            $table->dateTime('ended_at', 3)->nullable();
            $table->unsignedSmallInteger('parts')->nullable();
            $table->unsignedInteger('inhale_ms')->nullable();
            $table->json('played')->nullable();
            $table->json('marks')->nullable();
            $table->unsignedSmallInteger('prescribed')->nullable();
            $table->unsignedSmallInteger('seen')->nullable();
            $table->unsignedSmallInteger('followed')->nullable();
            $table->integer('lag_ms')->nullable();
            $table->decimal('ratio_kept', 5, 2)->nullable();
            $table->decimal('rate', 5, 2)->nullable();
            $table->json('details')->nullable();
            $table->string('problem', 200)->nullable();
            $table->dateTime('read_at')->nullable();
            // Until when its samples stay; null when they are gone.
            $table->dateTime('samples_until')->nullable()->index();
            $table->dateTime('samples_gone_at')->nullable();
            $table->dateTime('created_at');
            $table->index(['patient_id', 'started_at']);
            $table->index(['sensor_id', 'ended_at']);
        });

        Schema::create('recording_parts', function (Blueprint $table) {
            $table->id();
            $table->foreignId('recording_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->unsignedInteger('lines');
            $table->mediumText('samples');
            $table->dateTime('received_at');
            $table->unique(['recording_id', 'number']);
        });

        Schema::table('consents', function (Blueprint $table) {
            // What is agreed to: that practice is recorded, or that the traces of a recording stay for a while.
            $table->string('about', 10)->default('practice')->after('kind');
            $table->foreignId('device_id')->nullable()->change();
        });
        Door::lay();
    }

    public function down(): void
    {
        Schema::table('consents', fn (Blueprint $table) => $table->dropColumn('about'));
        Schema::dropIfExists('recording_parts');
        Schema::dropIfExists('recordings');
        Schema::dropIfExists('sensors');
        Door::lay();
    }
};
