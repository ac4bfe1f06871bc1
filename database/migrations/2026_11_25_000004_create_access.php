<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('access_links', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->char('token_hash', 64)->unique();
            $table->char('code_hash', 64)->unique();
            $table->dateTime('expires_at')->index();
            $table->dateTime('used_at')->nullable();
            $table->dateTime('created_at');
            $table->index(['patient_id', 'created_at']);
        });

        Schema::create('devices', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->char('credential_hash', 64)->unique();
            $table->string('label', 80);
            $table->string('pin')->nullable();
            $table->unsignedTinyInteger('wrong_pins')->default(0);
            $table->dateTime('last_seen_at')->nullable();
            $table->dateTime('revoked_at')->nullable();
            $table->timestamps();
            $table->index(['patient_id', 'revoked_at']);
        });

        Schema::create('consents', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->foreignId('practitioner_id')->nullable()->constrained();
            $table->string('version', 20);
            $table->char('text_hash', 64);
            $table->string('kind', 20);
            $table->dateTime('given_at');
            $table->index(['patient_id', 'given_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('consents');
        Schema::dropIfExists('devices');
        Schema::dropIfExists('access_links');
    }
};
