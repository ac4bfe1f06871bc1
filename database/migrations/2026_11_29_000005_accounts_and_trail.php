<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Accounts that are invited, ended and opened by a second factor; mail that waits where it can be read; a trail that also
 * knows sign-ins, devices and the clinic's own settings; reasons that are not readable in the database.
 */
return new class extends Migration
{
    private const REASONS = ['handovers' => 'A hand-over', 'note_amendments' => 'An amendment'];

    public function up(): void
    {
        DB::statement('update practitioners set email = lower(email)');
        // Addresses are compared by bytes: two that only look the same are two.
        DB::statement('alter table practitioners modify email varchar(190) character set utf8mb4 collate utf8mb4_bin not null');
        Schema::table('practitioners', function (Blueprint $table) {
            $table->string('registration', 60)->nullable();
            $table->dateTime('ended_at')->nullable();
            $table->text('second_factor')->nullable();
            $table->dateTime('second_factor_at')->nullable();
            $table->unsignedBigInteger('second_factor_step')->nullable();
            $table->text('recovery_codes')->nullable();
        });
        Schema::table('clinics', fn (Blueprint $table) => $table->boolean('demands_second_factor')->default(false));

        Schema::create('invitations', function (Blueprint $table) {
            $table->id();
            $table->foreignId('clinic_id')->constrained();
            $table->string('email', 190)->collation('utf8mb4_bin');
            $table->string('role', 20);
            $table->char('token_hash', 64)->unique();
            $table->foreignId('by_id')->constrained('practitioners');
            $table->dateTime('made_at');
            $table->dateTime('expires_at');
            $table->dateTime('used_at')->nullable();
            $table->dateTime('withdrawn_at')->nullable();
            $table->index(['clinic_id', 'made_at']);
        });

        Schema::create('password_reset_tokens', function (Blueprint $table) {
            $table->string('email', 190)->collation('utf8mb4_bin')->primary();
            $table->string('token');
            $table->dateTime('created_at')->nullable();
        });

        // What would have been sent while no mail server is configured.
        Schema::create('outgoing_mails', function (Blueprint $table) {
            $table->id();
            $table->foreignId('clinic_id')->nullable()->constrained();
            $table->text('to');
            $table->text('subject');
            $table->mediumText('text');
            $table->dateTime('at');
            $table->index(['clinic_id', 'at']);
        });

        Schema::table('access_trail', function (Blueprint $table) {
            $table->index(['patient_id', 'at']);
            $table->dropUnique(['patient_id', 'practitioner_id', 'what', 'kind', 'at']);
            $table->foreignUlid('patient_id')->nullable()->change();
            $table->unsignedBigInteger('practitioner_id')->nullable()->change();
            $table->foreignId('device_id')->nullable()->constrained();
            $table->string('kind', 10)->change();
            $table->text('detail')->nullable();
            // Looks at the same thing within a minute are one line.
            $table->char('once', 32)->nullable()->unique();
        });

        foreach (self::REASONS as $table => $what) {
            DB::unprepared("drop trigger if exists {$table}_no_update");
            DB::statement("alter table $table modify reason text not null");
            foreach (DB::table($table)->select('id', 'reason')->lazyById(500) as $row) {
                DB::table($table)->where('id', $row->id)->update(['reason' => Crypt::encryptString((string) $row->reason)]);
            }
            DB::unprepared(
                "create or replace trigger {$table}_no_update before update on $table for each row "
                    ."signal sqlstate '45000' set message_text = '$what cannot be changed.'",
            );
        }
    }

    public function down(): void
    {
        throw new LogicException('Accounts and encrypted reasons have no way back; restore the backup made before.');
    }
};
