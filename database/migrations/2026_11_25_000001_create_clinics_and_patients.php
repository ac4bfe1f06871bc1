<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('clinics', function (Blueprint $table) {
            $table->id();
            $table->string('name', 120);
            $table->string('time_zone', 64);
            $table->text('emergency_wording');
            $table->timestamps();
        });

        Schema::create('practitioners', function (Blueprint $table) {
            $table->id();
            $table->foreignId('clinic_id')->constrained();
            $table->string('name', 120);
            $table->string('profession', 120);
            $table->string('role', 20)->default('practitioner');
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });

        Schema::create('patients', function (Blueprint $table) {
            $table->ulid('id')->primary();
            $table->foreignId('clinic_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('name', 120);
            $table->date('birth_date');
            $table->string('time_zone', 64);
            $table->string('day_start', 5)->default('04:00');
            $table->text('contact')->nullable();
            $table->unsignedSmallInteger('minutes_a_day')->nullable();
            // Lower end of the patient's own normal range, %: some live with less than others.
            $table->unsignedTinyInteger('own_low_saturation')->nullable();
            $table->timestamps();
            $table->index(['clinic_id', 'name']);
            $table->index(['clinic_id', 'birth_date']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('patients');
        Schema::dropIfExists('practitioners');
        Schema::dropIfExists('clinics');
    }
};
