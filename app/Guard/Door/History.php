<?php

declare(strict_types=1);

namespace App\Guard\Door;

use App\Guard\Rights;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * What no statement can change or remove, as triggers of the database. Of a row that stands only the columns may be set that
 * the application has the right to set, and where something is struck or withdrawn that is done once. Only a routine that has
 * opened the door passes.
 */
final class History
{
    /** Neither changed nor removed, but for what {@see Rights::PROTECTED} names. */
    private const FIXED = [
        'programme_versions' => 'An issued programme version', 'programme_items' => 'An exercise of an issued version',
        'finding_reasons' => 'A reason given for a finding', 'screenings' => 'A completed screening',
        'screening_answers' => 'A screening answer', 'raised_red_flags' => 'A red flag', 'red_flag_actions' => 'An action on a red flag',
        'consents' => 'A consent', 'practices' => 'A practice log', 'session_notes' => 'A signed note',
        'note_amendments' => 'An amendment', 'access_trail' => 'The access trail', 'handovers' => 'A hand-over',
        'second_looks' => 'A second look', 'measurements' => 'A measurement', 'habit_ticks' => 'A tick', 'home_checks' => 'A home check',
        'record_joins' => 'A join of two records', 'letters' => 'A signed letter', 'erasures' => 'That a record was erased',
    ];

    /** May change, and is never removed. */
    private const KEPT = ['asked_forms' => 'A form', 'pauses' => 'A pause', 'programmes' => 'A programme', 'patients' => 'A patient'];

    /** What is done once, by the column that says when. */
    private const ONCE = ['struck_at', 'withdrawn_at', 'sent_at'];

    private const OF_A_CLOSED_SESSION = 'old.care_session_id is null or exists '
        .'(select 1 from care_sessions where id = old.care_session_id and closed_at is not null)';

    private const ISSUED = '(select count(*) from programme_items where programme_version_id = new.programme_version_id) '
        .'>= (select item_count from programme_versions where id = new.programme_version_id)';

    /** Makes every trigger as it should be now; a migration that changes a protected table ends with it. */
    public static function lay(): void
    {
        foreach (self::statements() as $statement) {
            DB::unprepared($statement);
        }
    }

    /** @return array<string, string> by name of the trigger */
    public static function statements(): array
    {
        $made = [];
        // While the database is being made, some are still to come.
        $fixed = array_filter(self::FIXED, fn (string $table) => self::columns($table) !== [], ARRAY_FILTER_USE_KEY);
        foreach ($fixed as $table => $what) {
            $made["{$table}_no_update"] = self::refuse(
                "{$table}_no_update", "before update on $table", "$what cannot be changed.", self::otherwiseChanged($table),
            );
        }
        foreach ([...$fixed, ...self::KEPT] as $table => $what) {
            $made["{$table}_no_delete"] = self::refuse("{$table}_no_delete", "before delete on $table", "$what cannot be removed.", null);
        }
        foreach (self::others() as $name => [$when, $message, $if]) {
            $made[$name] = self::refuse($name, $when, $message, $if);
        }

        return $made;
    }

    /** @return array<string, array{string, string, string}> when, message and condition, by name */
    private static function others(): array
    {
        $decided = fn (string $event, string $done): array => [
            "before $event on decisions", "A decision of a closed session cannot be $done.", self::OF_A_CLOSED_SESSION,
        ];

        return [
            'decisions_made_no_update' => $decided('update', 'changed'), 'decisions_made_no_delete' => $decided('delete', 'removed'),
            'programmes_closed' => ['before update on programmes', 'A closed programme cannot be changed.', 'old.closed_on is not null'],
            'pauses_beginning' => [
                'before update on pauses', 'How a pause began cannot be changed.', self::changed('pauses', Rights::PROTECTED['pauses']),
            ],
            'programme_items_issued' => [
                'before insert on programme_items', 'An issued version takes no other exercise.', self::ISSUED,
            ],
            // What a screening is confirmed by is set afterwards.
            'asked_forms_complete' => [
                'before update on asked_forms', 'A completed form cannot be changed.',
                'old.completed_at is not null and ('.self::changed('asked_forms', ['settled_at']).')',
            ],
        ];
    }

    /** Null where nothing of it may be set. */
    private static function otherwiseChanged(string $table): ?string
    {
        $may = Rights::PROTECTED[$table] ?? [];
        $once = array_values(array_intersect(self::ONCE, $may))[0] ?? null;

        return $once === null ? null : "old.$once is not null or new.$once is null or ".self::changed($table, $may);
    }

    /** @param  list<string>  $but  columns that may be set */
    private static function changed(string $table, array $but): string
    {
        $columns = array_diff(self::columns($table), $but);

        return implode(' or ', array_map(fn (string $column) => "not (new.`$column` <=> old.`$column`)", $columns));
    }

    /** @return list<string> in order of their names, without computed ones */
    private static function columns(string $table): array
    {
        return array_values(array_map(fn (stdClass $row) => (string) $row->name, DB::select(
            'select column_name as name from information_schema.columns where table_schema = database() and table_name = ? '
                .'and generation_expression is null order by column_name',
            [$table],
        )));
    }

    private static function refuse(string $name, string $when, string $message, ?string $if): string
    {
        $condition = Door::IS_CLOSED.($if === null ? '' : " and ($if)");

        return "create or replace trigger $name $when for each row begin if $condition then "
            ."signal sqlstate '45000' set message_text = '$message'; end if; end";
    }
}
