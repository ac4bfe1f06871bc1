<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const SIGNED = ['session_notes' => 'A signed note', 'note_amendments' => 'An amendment'];

    public function up(): void
    {
        // Questions that wait on the patient's device, or are answered in the room: a screening or a questionnaire.
        Schema::create('asked_forms', function (Blueprint $table) {
            $table->ulid('id')->primary();
            $table->foreignUlid('patient_id')->constrained();
            $table->string('form', 20);
            $table->string('answered_on', 10);
            $table->foreignId('practitioner_id')->constrained();
            $table->dateTime('asked_at');
            $table->text('answers')->nullable();
            $table->unsignedSmallInteger('answered')->default(0);
            $table->decimal('score', 6, 2)->nullable();
            $table->unsignedTinyInteger('missing')->default(0);
            $table->dateTime('completed_at')->nullable();
            // Taken back before it was complete, or a screening that has been confirmed.
            $table->dateTime('settled_at')->nullable();
            $table->index(['patient_id', 'form', 'completed_at']);
            $table->index(['patient_id', 'settled_at']);
        });

        // What a new fact said of the programme that was running.
        Schema::create('new_findings', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->ulid('lineage');
            $table->string('rule', 40);
            $table->string('level', 20);
            $table->string('exercise', 120);
            $table->string('title', 190);
            $table->text('message');
            $table->dateTime('found_at');
            $table->dateTime('settled_at')->nullable();
            $table->foreignId('settled_by')->nullable()->constrained('practitioners');
            $table->text('looked_at')->nullable();
            $table->index(['patient_id', 'settled_at']);
        });

        // "sessions" is where the framework keeps who is signed in.
        Schema::create('care_sessions', function (Blueprint $table) {
            $table->ulid('id')->primary();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->unsignedSmallInteger('number');
            $table->dateTime('begun_at');
            $table->dateTime('closed_at')->nullable();
            // One open session a patient: null once it is closed, and nulls never clash.
            $table->boolean('is_open')->nullable()->storedAs('if(closed_at is null, 1, null)');
            $table->unique(['patient_id', 'number']);
            $table->unique(['patient_id', 'is_open']);
        });

        Schema::create('session_steps', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('care_session_id')->constrained();
            $table->string('step', 20);
            $table->mediumText('content');
            $table->unsignedInteger('revision');
            $table->foreignId('practitioner_id')->constrained();
            $table->dateTime('kept_at');
            $table->unique(['care_session_id', 'step']);
        });

        Schema::create('session_notes', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('care_session_id')->unique()->constrained();
            $table->mediumText('text');
            $table->foreignId('practitioner_id')->constrained();
            $table->dateTime('signed_at');
        });

        Schema::create('note_amendments', function (Blueprint $table) {
            $table->id();
            $table->foreignId('session_note_id')->constrained();
            $table->text('text');
            $table->string('reason', 500);
            $table->foreignId('practitioner_id')->constrained();
            $table->dateTime('signed_at');
        });

        foreach (self::SIGNED as $table => $what) {
            foreach (['update' => 'changed', 'delete' => 'removed'] as $event => $done) {
                DB::unprepared(
                    "create trigger {$table}_no_{$event} before {$event} on {$table} for each row signal sqlstate '45000' set message_text "
                        ."= '{$what} cannot be {$done}.'",
                );
            }
        }
        DB::unprepared("create trigger asked_forms_complete before update on asked_forms for each row begin
            if old.completed_at is not null
                and not (new.answers <=> old.answers and new.score <=> old.score and new.completed_at <=> old.completed_at) then
                signal sqlstate '45000' set message_text = 'A completed form cannot be changed.'; end if; end");
    }

    public function down(): void
    {
        foreach (['note_amendments', 'session_notes', 'session_steps', 'care_sessions', 'new_findings', 'asked_forms'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
