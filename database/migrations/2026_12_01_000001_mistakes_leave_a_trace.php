<?php

declare(strict_types=1);

use App\Facts\Caseload\NoteWords;
use App\Guard\Door\Door;
use App\Guard\Door\JoinRoutine;
use App\Models\Device;
use App\Models\SessionNote;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A mistake has a way back that leaves a trace: what was measured, ticked or practised can be struck, a version of today
 * withdrawn, a session dropped, a screening corrected, a patient archived, two records of one person joined. What is struck
 * stays readable and counts no more.
 */
return new class extends Migration
{
    private const STRUCK = ['measurements', 'practices', 'habit_ticks', 'home_checks', 'diary_entries'];

    public function up(): void
    {
        foreach (self::STRUCK as $name) {
            Schema::table($name, function (Blueprint $table) {
                $table->dateTime('struck_at')->nullable();
                $table->foreignId('struck_by')->nullable()->constrained('practitioners');
                $table->text('struck_reason')->nullable();
            });
        }
        // A day that was struck can be written anew by the right hands: null never clashes.
        Schema::table('diary_entries', function (Blueprint $table) {
            $table->boolean('stands')->nullable()->storedAs('if(struck_at is null, 1, null)');
            $table->index('patient_id');
            $table->dropUnique(['patient_id', 'day']);
            $table->unique(['patient_id', 'day', 'stands']);
        });
        Schema::table('programme_versions', function (Blueprint $table) {
            $table->dateTime('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable()->constrained('practitioners');
            $table->text('withdrawn_reason')->nullable();
        });
        Schema::table('decisions', function (Blueprint $table) {
            // By which version it was done, where it was.
            $table->foreignId('programme_version_id')->nullable()->constrained();
        });
        Schema::table('care_sessions', function (Blueprint $table) {
            $table->dateTime('dropped_at')->nullable();
            $table->foreignId('dropped_by')->nullable()->constrained('practitioners');
            $table->text('drop_reason')->nullable();
        });
        Schema::table('screenings', function (Blueprint $table) {
            $table->foreignId('corrects_id')->nullable()->constrained('screenings');
            $table->text('correction_reason')->nullable();
        });
        Schema::table('patients', function (Blueprint $table) {
            $table->dateTime('archived_at')->nullable();
            $table->text('archive_reason')->nullable();
            $table->foreignUlid('joined_into')->nullable()->constrained('patients');
        });
        Schema::table('devices', function (Blueprint $table) {
            // Under which name what waits on it was written, when its record has been joined into another.
            $table->char('came_as', 26)->nullable();
        });
        // Words of signed notes, as keyed hashes: by them a note is found without being opened.
        Schema::create('note_words', function (Blueprint $table) {
            $table->foreignUlid('patient_id')->constrained();
            $table->char('word', 24)->collation('ascii_bin');
            $table->primary(['patient_id', 'word']);
            $table->index('word');
        });
        $this->joins();
        $this->followDevices();
        Door::lay();
        $this->keepWordsOfNotes();
    }

    /** A phone that was locked out is told in the Caseload. */
    private function followDevices(): void
    {
        $most = Device::MOST_WRONG_PINS;
        $raise = fn (string $row): string => "update caseload_lines set changes = changes + 1 where patient_id = $row.patient_id";
        DB::unprepared("create or replace trigger devices_caseload_insert after insert on devices for each row {$raise('new')}");
        DB::unprepared(
            'create or replace trigger devices_caseload_update after update on devices for each row begin '
                ."if (new.wrong_pins >= $most) <> (old.wrong_pins >= $most) "
                ."or not (new.revoked_at <=> old.revoked_at) then {$raise('new')}; "
                .'end if; end',
        );
    }

    private function keepWordsOfNotes(): void
    {
        $notes = SessionNote::query()->join('care_sessions', 'care_sessions.id', '=', 'session_notes.care_session_id')
            ->join('patients', 'patients.id', '=', 'care_sessions.patient_id')
            ->select('session_notes.*', 'patients.clinic_id', 'care_sessions.patient_id')->lazyById(200, 'session_notes.id', 'id');
        foreach ($notes as $note) {
            NoteWords::keep((string) $note->getAttribute('patient_id'), (int) $note->getAttribute('clinic_id'), $note->text);
        }
    }

    private function joins(): void
    {
        Schema::create(Door::TABLE, fn (Blueprint $table) => $table->unsignedBigInteger('connection')->primary());
        Schema::create('record_joins', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('older_id')->constrained('patients');
            $table->foreignUlid('younger_id')->constrained('patients');
            $table->foreignId('practitioner_id')->constrained();
            $table->text('reason');
            $table->dateTime('at');
        });
        Schema::create('joined_rows', function (Blueprint $table) {
            $table->id();
            $table->foreignId('record_join_id')->constrained();
            $table->string('of_table', 40);
            $table->string('of_row', 26);
        });
    }

    public function down(): void
    {
        DB::unprepared('drop procedure if exists '.JoinRoutine::NAME);
        throw new LogicException('What was struck, withdrawn or joined has no way back; restore the backup made before.');
    }
};
