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

        // Minutes by kind, where they are not the usual ones.
        Schema::table('clinics', fn (Blueprint $table) => $table->json('appointment_minutes')->nullable()->after('telephone'));
    }

    public function down(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn('appointment_minutes'));
        Schema::dropIfExists('absences');
        Schema::table('appointments', fn (Blueprint $table) => $table->dropColumn(['minutes', 'kind', 'series', 'revision']));
    }
};
