<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * More that no statement can change or remove: what was measured and ticked, what was decided once its session is closed, a
 * closed programme, how a pause began. An issued version takes no exercise but those that it was issued with.
 */
return new class extends Migration
{
    private const FIXED = [
        'measurements' => 'A measurement', 'habit_ticks' => 'A tick', 'home_checks' => 'A home check',
    ];

    private const KEPT = ['asked_forms' => 'A form', 'pauses' => 'A pause', 'programmes' => 'A programme', 'patients' => 'A patient'];

    private const OF_A_CLOSED_SESSION = 'old.care_session_id is null or exists '
        .'(select 1 from care_sessions where id = old.care_session_id and closed_at is not null)';

    private const BEGINNING = ['patient_id', 'lineage', 'rule', 'practice_id', 'cause', 'from_at', 'likeness', 'raised_red_flag_id'];

    public function up(): void
    {
        foreach (self::FIXED as $table => $what) {
            $this->refuse("{$table}_no_update", "before update on $table", "$what cannot be changed.");
            $this->refuse("{$table}_no_delete", "before delete on $table", "$what cannot be removed.");
        }
        foreach (self::KEPT as $table => $what) {
            $this->refuse("{$table}_no_delete", "before delete on $table", "$what cannot be removed.");
        }
        foreach (['update' => 'changed', 'delete' => 'removed'] as $event => $done) {
            $this->refuse(
                "decisions_made_no_$event", "before $event on decisions", "A decision of a closed session cannot be $done.",
                self::OF_A_CLOSED_SESSION,
            );
        }
        $this->refuse(
            'programmes_closed', 'before update on programmes', 'A closed programme cannot be changed.', 'old.closed_on is not null',
        );
        $changes = array_map(fn (string $column) => "not (new.$column <=> old.$column)", self::BEGINNING);
        $this->refuse('pauses_beginning', 'before update on pauses', 'How a pause began cannot be changed.', implode(' or ', $changes));

        DB::unprepared('drop trigger if exists programme_versions_no_update');
        DB::statement('alter table programme_versions add column if not exists item_count tinyint unsigned not null default 0');
        DB::statement(
            'update programme_versions set item_count = '
                .'(select count(*) from programme_items where programme_version_id = programme_versions.id)',
        );
        $this->refuse(
            'programme_versions_no_update', 'before update on programme_versions', 'An issued programme version cannot be changed.',
        );
        $this->refuse(
            'programme_items_issued', 'before insert on programme_items', 'An issued version takes no other exercise.',
            '(select count(*) from programme_items where programme_version_id = new.programme_version_id) '
                .'>= (select item_count from programme_versions where id = new.programme_version_id)',
        );
    }

    private function refuse(string $name, string $when, string $message, ?string $if = null): void
    {
        $signal = "signal sqlstate '45000' set message_text = '$message'";
        $body = $if === null ? $signal : "begin if $if then $signal; end if; end";
        DB::unprepared("create or replace trigger $name $when for each row $body");
    }

    public function down(): void
    {
        foreach (array_keys(self::FIXED) as $table) {
            DB::unprepared("drop trigger if exists {$table}_no_update");
        }
        foreach (array_keys([...self::FIXED, ...self::KEPT]) as $table) {
            DB::unprepared("drop trigger if exists {$table}_no_delete");
        }
        $others = [
            'decisions_made_no_update', 'decisions_made_no_delete', 'programmes_closed', 'pauses_beginning', 'programme_items_issued',
        ];
        foreach ($others as $name) {
            DB::unprepared("drop trigger if exists $name");
        }
        DB::statement('alter table programme_versions drop column item_count');
    }
};
