<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Guard\Rights;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PDO;
use Tests\TestCase;

/** What the running application may do in its database, tried as its own user in one that is set up as the demo's is. */
final class RightsTest extends TestCase
{
    /** How the server says that a right is missing: 1142 and 1143 a table or column, 1044, 1045 and 1227 the database, 1370 a routine. */
    private const REFUSED = [1044, 1045, 1142, 1143, 1227, 1370];

    protected function setUp(): void
    {
        parent::setUp();
        config(['database.connections.running' => [
            ...config()->array('database.connections.mariadb'), 'database' => getenv('RIGHTS_DATABASE') ?: env('RIGHTS_DATABASE'),
            'username' => env('RIGHTS_USERNAME'), 'password' => env('RIGHTS_PASSWORD'),
            'options' => [PDO::ATTR_EMULATE_PREPARES => true, PDO::MYSQL_ATTR_MULTI_STATEMENTS => true],
        ]]);
    }

    public function test_history_can_be_added_to_and_never_changed_or_removed(): void
    {
        foreach (Rights::PROTECTED as $table => $columns) {
            $this->mayNot("delete from $table");
            $this->mayNot("truncate $table");
            foreach (array_diff($this->columns($table), $columns) as $column) {
                $this->mayNot("update $table set `$column` = `$column`");
            }
            foreach ($columns as $column) {
                DB::connection('running')->statement("update $table set `$column` = `$column` where 1 = 0");
            }
        }
        foreach (Rights::KEPT as $table) {
            $this->mayNot("delete from $table");
            $this->mayNot("SET FOREIGN_KEY_CHECKS=0; DELETE FROM $table");
            DB::connection('running')->statement("update $table set id = id where 1 = 0");
        }
    }

    public function test_tables_triggers_users_and_rights_are_out_of_reach(): void
    {
        foreach ($this->tables() as $table) {
            $this->mayNot("drop table $table");
            $this->mayNot("alter table $table add column more int");
            $this->mayNot("create index more on $table (id)");
        }
        foreach ([
            'drop trigger practices_no_delete', 'create table more (id int)', 'create trigger more before insert on cache for each row set @a = 1',
            "create user 'x'@'%'", 'grant all on *.* to current_user()', 'set global log_bin_trust_function_creators = 1', 'flush privileges',
            "select load_file('/etc/passwd') into outfile '/tmp/x'", 'create database more', 'drop database ivory_pace_rights', 'select * from mysql.user',
            'insert into migrations (migration, batch) values (\'x\', 1)',
        ] as $statement) {
            $this->mayNot($statement);
        }
    }

    public function test_the_rest_is_ordinary_and_every_table_is_one_or_the_other(): void
    {
        $special = [...array_keys(Rights::PROTECTED), ...Rights::KEPT];
        $tables = $this->tables();
        self::assertSame([], array_values(array_diff($special, $tables)), 'no right for a table that is not');
        foreach (array_diff($tables, $special) as $table) {
            $column = $this->columns($table)[0];
            DB::connection('running')->statement("update $table set `$column` = `$column` where 1 = 0");
            DB::connection('running')->statement("delete from $table where 1 = 0");
        }
        // Whatever a trigger keeps from being removed, no right removes.
        $kept = array_column(DB::select(
            "select distinct event_object_table as name from information_schema.triggers where trigger_schema = database() and trigger_name like '%\\_no\\_delete' and trigger_name not like 'decisions%'",
        ), 'name');
        self::assertSame([], array_values(array_diff($kept, $special)));
    }

    public function test_nobody_reaches_the_database_without_a_password(): void
    {
        foreach (['root', '', 'ivory_pace', 'ivory_pace_keeper'] as $user) {
            foreach (['127.0.0.1', '::1', (string) gethostname()] as $host) {
                config(['database.connections.anyone' => [...config()->array('database.connections.mariadb'), 'host' => $host, 'username' => $user, 'password' => '', 'database' => '']]);
                DB::purge('anyone');
                try {
                    DB::connection('anyone')->select('select 1');
                    self::fail("“{$user}” at $host came in.");
                } catch (QueryException $refusal) {
                    self::assertContains((int) ($refusal->errorInfo[1] ?? 0), [1045, 1698, 2002, 2003, 2006, 1130, 2005], $refusal->getMessage());
                }
            }
        }
    }

    private function mayNot(string $statement): void
    {
        try {
            DB::connection('running')->unprepared($statement);
        } catch (QueryException $refusal) {
            self::assertContains((int) ($refusal->errorInfo[1] ?? 0), self::REFUSED, "$statement: {$refusal->getMessage()}");
            DB::purge('running');

            return;
        }
        self::fail("The application may: $statement");
    }

    /** @return list<string> */
    private function tables(): array
    {
        return array_values(array_map(strval(...), array_column(DB::connection('running')->select(
            "select table_name as name from information_schema.tables where table_schema = database() and table_type = 'BASE TABLE'",
        ), 'name')));
    }

    /** @return list<string> without computed ones */
    private function columns(string $table): array
    {
        return array_values(array_map(strval(...), array_column(DB::connection('running')->select(
            'select column_name as name from information_schema.columns where table_schema = database() and table_name = ? and generation_expression is null',
            [$table],
        ), 'name')));
    }
}
