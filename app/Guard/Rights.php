<?php

declare(strict_types=1);

namespace App\Guard;

use App\Guard\Door\Door;
use App\Guard\Door\EraseRoutine;
use App\Guard\Door\JoinRoutine;

/**
 * What the running application may do in its database. It neither makes nor changes tables; what is history it can only add
 * to, and what ends can only be ended. Triggers refuse the same once more: a right that is granted by mistake changes nothing.
 */
final class Rights
{
    private const STRUCK = ['struck_at', 'struck_by', 'struck_reason'];

    /** @var array<string, list<string>> columns that may still be set, by table that is never deleted from */
    public const PROTECTED = [
        'access_trail' => [], 'consents' => [], 'finding_reasons' => [], 'handovers' => [], 'note_amendments' => [],
        'programme_items' => [], 'raised_red_flags' => [], 'red_flag_actions' => [], 'screenings' => [],
        'screening_answers' => [], 'second_looks' => [], 'session_notes' => [], 'migrations' => [], 'record_joins' => [],
        'joined_rows' => [], 'backups' => [],
        'practices' => self::STRUCK, 'measurements' => self::STRUCK, 'habit_ticks' => self::STRUCK, 'home_checks' => self::STRUCK,
        'programme_versions' => ['withdrawn_at', 'withdrawn_by', 'withdrawn_reason'],
        'letters' => ['sent_at', 'sent_by', 'sent_how'], 'erasures' => [],
        'calendar_addresses' => ['read_at', 'revoked_at'],
        'invitations' => ['used_at', 'withdrawn_at'], 'foundings' => ['used_at', 'clinic_id', 'expires_at'],
        'asked_forms' => ['answered_on', 'answers', 'answered', 'score', 'missing', 'completed_at', 'settled_at'],
        'pauses' => ['until_at', 'ended_by', 'looked_at'],
        'programmes' => ['closed_on', 'outcome', 'outcome_note', 'closed_by', 'is_active', 'is_maintenance', 'updated_at'],
        'kept_asides' => ['body', 'is_urgent', 'sent_at', 'received_at', 'settled_at', 'settled_by', 'accepted'],
        'new_findings' => ['settled_at', 'settled_by', 'looked_at'],
        'devices' => ['pin', 'wrong_pins', 'last_seen_at', 'revoked_at', 'open_hash', 'open_until', 'label', 'came_as', 'updated_at'],
        'care_sessions' => ['closed_at', 'dropped_at', 'dropped_by', 'drop_reason'],
    ];

    /** Is never deleted, and may change in any column. */
    public const KEPT = ['patients', 'clinics', 'practitioners', 'recordings', 'sensors'];

    /** What migrating, or a routine, alone writes. */
    private const READ_ONLY = ['migrations', 'joined_rows'];

    /** What only routines touch. */
    private const OUT_OF_REACH = [Door::TABLE];

    /**
     * @param  list<string>  $tables  all of the database
     * @return list<string> statements that give these rights and no others
     */
    public static function statements(string $database, string $user, array $tables): array
    {
        return [
            ...array_map(
                fn (string $table) => 'GRANT '.implode(', ', self::of($table))." ON `$database`.`$table` TO $user",
                array_values(array_diff($tables, self::OUT_OF_REACH)),
            ),
            "GRANT EXECUTE ON PROCEDURE `$database`.`".JoinRoutine::NAME."` TO $user",
            "GRANT EXECUTE ON PROCEDURE `$database`.`".EraseRoutine::NAME."` TO $user",
        ];
    }

    /** @return list<string> */
    private static function of(string $table): array
    {
        $columns = self::PROTECTED[$table] ?? null;

        return match (true) {
            in_array($table, self::READ_ONLY, true) => ['SELECT'],
            in_array($table, self::KEPT, true) => ['SELECT', 'INSERT', 'UPDATE'],
            $columns === [] => ['SELECT', 'INSERT'],
            $columns !== null => ['SELECT', 'INSERT', 'UPDATE (`'.implode('`, `', $columns).'`)'],
            default => ['SELECT', 'INSERT', 'UPDATE', 'DELETE'],
        };
    }
}
