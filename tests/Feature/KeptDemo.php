<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\Demo\DemoSeeder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The demo is played through once in a run, and laid down again as it was, row by row, for every other test that begins with it. */
final class KeptDemo
{
    public const WHEN = '2026-11-25 15:00';

    public const ZONE = 'Europe/Lisbon';

    private const AT_ONCE = 200;

    /** Triggers write it while the others are laid down. */
    private const LAST = 'caseload_lines';

    /** @var array<string, list<array<string, mixed>>> rows by table */
    private static array $rows = [];

    public static function lay(): void
    {
        if (self::$rows === []) {
            (new DemoSeeder)->run(self::ZONE);
            self::keep();

            return;
        }
        DB::statement('set foreign_key_checks = 0');
        foreach (self::$rows as $table => $rows) {
            if ($table === self::LAST) {
                DB::table($table)->delete();
            }
            foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                DB::table($table)->insert($some);
            }
        }
        DB::statement('set foreign_key_checks = 1');
    }

    private static function keep(): void
    {
        $columns = [];
        foreach (DB::select("select c.table_name as t, c.column_name as c from information_schema.columns c join information_schema.tables t
            on t.table_schema = c.table_schema and t.table_name = c.table_name and t.table_type = 'BASE TABLE'
            where c.table_schema = database() and c.generation_expression is null and c.table_name <> 'migrations'
            order by c.table_name = ?, c.table_name, c.ordinal_position", [self::LAST]) as $row) {
            $columns[$row->t][] = $row->c;
        }
        foreach ($columns as $table => $of) {
            $rows = DB::table($table)->orderBy($of[0])->get($of);
            self::$rows[$table] = array_values($rows->map(fn (stdClass $row) => (array) $row)->all());
        }
    }
}
