<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A proposal may be accepted or declined without a session; declined with a reason.
        Schema::table('decisions', function (Blueprint $table) {
            $table->char('care_session_id', 26)->nullable()->change();
            $table->foreignUlid('patient_id')->nullable()->after('clinic_id')->constrained();
            $table->foreignId('practitioner_id')->nullable()->after('patient_id')->constrained();
            $table->text('reason')->nullable()->after('agrees');
            $table->index(['patient_id', 'decided_at']);
        });
        DB::statement(
            'update decisions d join care_sessions s on s.id = d.care_session_id set d.patient_id = s.patient_id, d.practitioner_id = '
                .'s.practitioner_id',
        );

        // How a programme ended.
        Schema::table('programmes', function (Blueprint $table) {
            $table->string('outcome', 30)->nullable()->after('closed_on');
            $table->text('outcome_note')->nullable()->after('outcome');
            $table->foreignId('closed_by')->nullable()->after('outcome_note')->constrained('practitioners');
        });

        Schema::table('clinics', fn (Blueprint $table) => $table->string('school', 20)->default('gentle-control')->after('thresholds'));

        Schema::create('appointments', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->dateTime('starts_at');
            $table->dateTime('cancelled_at')->nullable();
            $table->timestamps();
            $table->index(['practitioner_id', 'starts_at']);
            $table->index(['patient_id', 'starts_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('appointments');
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn('school'));
        Schema::table('programmes', function (Blueprint $table) {
            $table->dropConstrainedForeignId('closed_by');
            $table->dropColumn(['outcome', 'outcome_note']);
        });
        Schema::table('decisions', function (Blueprint $table) {
            $table->dropConstrainedForeignId('patient_id');
            $table->dropConstrainedForeignId('practitioner_id');
            $table->dropColumn('reason');
        });
    }
};
