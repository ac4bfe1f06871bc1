<?php

declare(strict_types=1);

namespace App\Guard;

/**
 * What the running application may do in its database. It neither makes nor changes tables; what is history it can only add
 * to, and what ends can only be ended. Triggers refuse the same once more: a right that is granted by mistake changes nothing.
 */
final class Rights
{
    /** @var array<string, list<string>> columns that may still be set, by table that is never deleted from */
    public const PROTECTED = [
        'access_trail' => [], 'consents' => [], 'finding_reasons' => [], 'handovers' => [], 'note_amendments' => [], 'practices' => [],
        'programme_items' => [], 'programme_versions' => [], 'raised_red_flags' => [], 'red_flag_actions' => [], 'screenings' => [],
        'screening_answers' => [], 'second_looks' => [], 'session_notes' => [], 'measurements' => [], 'habit_ticks' => [],
        'home_checks' => [], 'migrations' => [],
        'invitations' => ['used_at', 'withdrawn_at'],
        'asked_forms' => ['answered_on', 'answers', 'answered', 'score', 'missing', 'completed_at', 'settled_at'],
        'pauses' => ['until_at', 'ended_by', 'looked_at'],
        'programmes' => ['closed_on', 'outcome', 'outcome_note', 'closed_by', 'is_active', 'updated_at'],
        'kept_asides' => ['body', 'is_urgent', 'sent_at', 'received_at', 'settled_at', 'settled_by', 'accepted'],
        'new_findings' => ['settled_at', 'settled_by', 'looked_at'],
        'devices' => ['pin', 'wrong_pins', 'last_seen_at', 'revoked_at', 'open_hash', 'open_until', 'label', 'updated_at'],
        'care_sessions' => ['closed_at'],
    ];

    /** Is never deleted, and may change in any column. */
    public const KEPT = ['patients', 'clinics', 'practitioners'];

    /** What migrating alone writes. */
    private const READ_ONLY = ['migrations'];

    /**
     * @param  list<string>  $tables  all of the database
     * @return list<string> statements that give these rights and no others
     */
    public static function statements(string $database, string $user, array $tables): array
    {
        return array_map(
            fn (string $table) => 'GRANT '.implode(', ', self::of($table))." ON `$database`.`$table` TO $user", $tables,
        );
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
