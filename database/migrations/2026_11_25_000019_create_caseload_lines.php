<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The caseload's line of each patient, kept as it was last computed. Every statement that touches what a line comes from
 * raises the patient's count of changes, in the database itself, so that no way of writing can forget it: a line holds
 * only as long as it was computed at the present count.
 */
return new class extends Migration
{
    /** Tables with the patient in a column of their own. */
    private const OF_A_PATIENT = [
        'screenings', 'raised_red_flags', 'programmes', 'practices', 'pauses', 'put_offs', 'diary_entries', 'chosen_symptoms',
        'asked_forms', 'new_findings',
        'kept_asides', 'access_links', 'decisions',
    ];

    /** Others, and how the patient is found. */
    private const BY_WAY = [
        'red_flag_actions' => 'select patient_id from raised_red_flags where id = %s.raised_red_flag_id',
        'screening_answers' => 'select patient_id from screenings where id = %s.screening_id',
        'programme_versions' => 'select patient_id from programmes where id = %s.programme_id',
        'programme_items' => 'select p.patient_id from programme_versions v join programmes p on p.id = v.programme_id '
            .'where v.id = %s.programme_version_id',
    ];

    public function up(): void
    {
        Schema::create('caseload_lines', function (Blueprint $table) {
            $table->ulid('patient_id')->primary();
            $table->unsignedBigInteger('changes')->default(0);
            $table->unsignedBigInteger('computed_at')->nullable();
            $table->unsignedSmallInteger('form')->default(0);
            $table->dateTime('holds_until')->nullable();
            $table->unsignedTinyInteger('urgency')->default(255);
            // Encrypted: it repeats what the patient wrote in the diary.
            $table->mediumText('line')->nullable();
            $table->text('figures')->nullable();
            $table->foreign('patient_id')->references('id')->on('patients')->cascadeOnDelete();
        });
        foreach (self::OF_A_PATIENT as $table) {
            $this->follow($table, '%s.patient_id');
        }
        foreach (self::BY_WAY as $table => $way) {
            $this->follow($table, "($way)");
        }
        DB::unprepared(
            'create trigger patients_caseload_insert after insert on patients for each row insert into caseload_lines (patient_id) values '
                .'(new.id)',
        );
        DB::unprepared(
            'create trigger patients_caseload_update after update on patients for each row update caseload_lines set changes = changes + 1 '
                .'where patient_id = new.id',
        );
        DB::unprepared(
            'create trigger clinics_caseload_update after update on clinics for each row update caseload_lines set changes = changes + 1 '
                .'where patient_id in (select id from patients where clinic_id = new.id)',
        );
        DB::statement('insert into caseload_lines (patient_id) select id from patients');
    }

    public function down(): void
    {
        foreach ([...self::OF_A_PATIENT, ...array_keys(self::BY_WAY), 'patients', 'clinics'] as $table) {
            foreach (['insert', 'update', 'delete'] as $event) {
                DB::unprepared("drop trigger if exists {$table}_caseload_{$event}");
            }
        }
        Schema::dropIfExists('caseload_lines');
    }

    private function follow(string $table, string $patient): void
    {
        foreach (['insert' => 'new', 'update' => 'new', 'delete' => 'old'] as $event => $row) {
            DB::unprepared("create trigger {$table}_caseload_{$event} after {$event} on {$table} for each row "
                .'update caseload_lines set changes = changes + 1 where patient_id = '.sprintf($patient, $row));
        }
    }
};
