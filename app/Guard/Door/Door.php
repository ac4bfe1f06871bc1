<?php

declare(strict_types=1);

namespace App\Guard\Door;

/**
 * The only way through what protects history: a routine of the database, which checks for itself whether it may, opens the
 * door for its own connection and closes it again. Nobody but the keeper can write the table that says for whom it is open.
 */
final class Door
{
    public const TABLE = 'opened_door';

    public const IS_CLOSED = 'not exists (select 1 from '.self::TABLE.' where connection = connection_id())';

    /** Every trigger and routine as they should be now: a migration that adds a table or column of a patient ends with it. */
    public static function lay(): void
    {
        History::lay();
        JoinRoutine::lay();
        EraseRoutine::lay();
    }
}
