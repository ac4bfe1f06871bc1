<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('appointments', function (Blueprint $table) {
            $table->unsignedSmallInteger('minutes')->default(45)->after('starts_at');
            $table->string('kind', 10)->default('review')->after('minutes');
            // Those that were made together.
            $table->ulid('series')->nullable()->after('kind')->index();
            // How often it was changed: calendars go by it.
            $table->unsignedInteger('revision')->default(0)->after('series');
        });

        Schema::create('absences', function (Blueprint $table) {
            $table->id();
            $table->foreignId('practitioner_id')->constrained();
            $table->dateTime('starts_at');
            $table->dateTime('ends_at');
            $table->text('reason')->nullable();
            $table->timestamps();
            $table->index(['practitioner_id', 'starts_at']);
        });

        // Secret addresses that calendars read: a practitioner's, or that of a patient's device, with which it ends.
        Schema::create('calendar_addresses', function (Blueprint $table) {
            $table->id();
            $table->foreignId('practitioner_id')->nullable()->constrained();
            $table->foreignId('device_id')->nullable()->constrained();
            $table->char('token_hash', 64)->unique();
            $table->dateTime('made_at');
            $table->dateTime('read_at')->nullable();
            $table->dateTime('revoked_at')->nullable();
        });

        Schema::table('clinics', function (Blueprint $table) {
            // Minutes by kind, where they are not the usual ones.
            $table->json('appointment_minutes')->nullable()->after('telephone');
            // Who comes, as calendars outside of the clinic show it.
            $table->boolean('calendar_initials')->default(true)->after('appointment_minutes');
        });
    }

    public function down(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn(['appointment_minutes', 'calendar_initials']));
        Schema::dropIfExists('calendar_addresses');
        Schema::dropIfExists('absences');
        Schema::table('appointments', fn (Blueprint $table) => $table->dropColumn(['minutes', 'kind', 'series', 'revision']));
    }
};
