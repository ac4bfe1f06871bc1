<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What was issued, signed, consented to or practised is history: no statement can change or remove it. */
return new class extends Migration
{
    private const TABLES = [
        'programme_versions' => 'An issued programme version',
        'programme_items' => 'An exercise of an issued version',
        'finding_reasons' => 'A reason given for a finding',
        'screenings' => 'A completed screening',
        'screening_answers' => 'A screening answer',
        'raised_red_flags' => 'A red flag',
        'red_flag_actions' => 'An action on a red flag',
        'consents' => 'A consent',
        'practices' => 'A practice log',
    ];

    public function up(): void
    {
        foreach (self::TABLES as $table => $what) {
            foreach (['update' => 'changed', 'delete' => 'removed'] as $event => $done) {
                DB::unprepared(
                    "create trigger {$table}_no_{$event} before {$event} on {$table} for each row "
                    ."signal sqlstate '45000' set message_text = '{$what} cannot be {$done}.'",
                );
            }
        }
    }

    public function down(): void
    {
        foreach (array_keys(self::TABLES) as $table) {
            foreach (['update', 'delete'] as $event) {
                DB::unprepared("drop trigger if exists {$table}_no_{$event}");
            }
        }
    }
};
