<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What made a finding is kept with the reason that was given for it, a pause belongs to an exercise rather than to a line
 * of a programme, a red flag pauses until somebody says that it may go on, and what the rules last knew of a patient is
 * remembered, so that time passing and new measurements are noticed.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('finding_reasons', function (Blueprint $table) {
            // Flags and numbers; null where it was given before they were kept: it covers nothing new.
            $table->json('cause')->nullable();
        });
        Schema::table('new_findings', function (Blueprint $table) {
            $table->json('cause')->nullable();
        });
        Schema::table('pauses', function (Blueprint $table) {
            // What the exercise is like, so that it stays paused under another name or on another line.
            $table->json('likeness')->nullable();
            $table->foreignId('raised_red_flag_id')->nullable()->constrained();
        });
        Schema::table('red_flag_actions', function (Blueprint $table) {
            $table->string('outcome', 20)->default('may-go-on');
        });
        Schema::table('raised_red_flags', function (Blueprint $table) {
            $table->string('detail', 400)->nullable()->change();
        });
        Schema::table('screening_answers', function (Blueprint $table) {
            // The day of an operation, a birth or a heart attack; its end follows from it.
            $table->date('happened_on')->nullable();
            $table->boolean('with_gas')->default(false);
        });
        Schema::table('patients', function (Blueprint $table) {
            // Encrypted: flags and measured values, as the rules last knew them.
            $table->text('checked_facts')->nullable();
        });
        Schema::table('clinics', function (Blueprint $table) {
            $table->string('crisis_number', 120)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn('crisis_number'));
        Schema::table('patients', fn (Blueprint $table) => $table->dropColumn('checked_facts'));
        Schema::table('screening_answers', fn (Blueprint $table) => $table->dropColumn(['happened_on', 'with_gas']));
        Schema::table('red_flag_actions', fn (Blueprint $table) => $table->dropColumn('outcome'));
        Schema::table('pauses', function (Blueprint $table) {
            $table->dropConstrainedForeignId('raised_red_flag_id');
            $table->dropColumn('likeness');
        });
        Schema::table('new_findings', fn (Blueprint $table) => $table->dropColumn('cause'));
        Schema::table('finding_reasons', fn (Blueprint $table) => $table->dropColumn('cause'));
    }
};
