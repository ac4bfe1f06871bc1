<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * By what a line of the caseload is found, ordered and counted: clinic and practitioner, words of the name, what is prescribed,
 * flags (a bit each) and the reason. All of it is plain elsewhere too. The database notes which lines are out of date.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('caseload_lines', function (Blueprint $table) {
            $table->unsignedBigInteger('clinic_id')->default(0)->after('patient_id');
            $table->unsignedBigInteger('responsible')->default(0)->after('clinic_id');
            $table->string('reason', 40)->nullable()->after('urgency');
            $table->string('names', 400)->nullable()->after('reason');
            $table->text('prescribed')->nullable()->after('names');
            $table->unsignedBigInteger('flags')->default(0)->after('prescribed');
            $table->boolean('is_stale')->storedAs('made_of is null or made_of <> changes');
            $table->index(['clinic_id', 'is_stale']);
            $table->index(['clinic_id', 'holds_until']);
            $table->index(['clinic_id', 'form']);
            $table->index(['clinic_id', 'reason', 'flags', 'responsible']);
        });
        DB::statement('create index caseload_lines_order on caseload_lines (clinic_id, urgency, since desc, names, patient_id)');
        DB::statement(
            'update caseload_lines l join patients p on p.id = l.patient_id set l.clinic_id = p.clinic_id, l.responsible = '
                .'p.practitioner_id',
        );
        $this->follow(
            'insert into caseload_lines (patient_id, clinic_id, responsible) values (new.id, new.clinic_id, new.practitioner_id)',
            'update caseload_lines set changes = changes + 1, clinic_id = new.clinic_id, responsible = new.practitioner_id where '
                .'patient_id = new.id',
        );
    }

    public function down(): void
    {
        $this->follow(
            'insert into caseload_lines (patient_id) values (new.id)',
            'update caseload_lines set changes = changes + 1 where patient_id = new.id',
        );
        Schema::table('caseload_lines', function (Blueprint $table) {
            $table->dropIndex('caseload_lines_order');
            $table->dropIndex(['clinic_id', 'is_stale']);
            $table->dropIndex(['clinic_id', 'holds_until']);
            $table->dropIndex(['clinic_id', 'form']);
            $table->dropIndex(['clinic_id', 'reason', 'flags', 'responsible']);
            $table->dropColumn(['is_stale', 'clinic_id', 'responsible', 'reason', 'names', 'prescribed', 'flags']);
        });
    }

    private function follow(string $insert, string $update): void
    {
        foreach (['insert' => $insert, 'update' => $update] as $event => $statement) {
            DB::unprepared("drop trigger if exists patients_caseload_$event");
            DB::unprepared("create trigger patients_caseload_$event after $event on patients for each row $statement");
        }
    }
};
