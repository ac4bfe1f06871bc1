<?php

declare(strict_types=1);

namespace App\Guard\Keys;

use App\Guard\Door\Door;
use App\Models\SealedColumns;
use Generator;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Encrypts what stands in the database anew, under the present key. Everything can be read meanwhile, by the present key or one of
 * those before it, and what is written is written under the present one; so it may be interrupted anywhere and go on later. It needs
 * the keeper's rights: signed rows are let through for one transaction at a time, and only what they say under another key changes.
 */
final class Rotation
{
    /** Rows of one transaction. */
    private const AT_ONCE = 200;

    /** Encrypted by Laravel's own casts. */
    private const ALSO = ['practitioners' => ['second_factor', 'recovery_codes']];

    private readonly Encrypter $now;

    /** @var list<Encrypter> */
    private readonly array $before;

    /** @var int cells that no key opens */
    private int $unreadable = 0;

    public function __construct()
    {
        $encrypter = fn (string $key): Encrypter => new Encrypter(
            str_starts_with($key, 'base64:') ? (string) base64_decode(substr($key, 7), true) : $key, config()->string('app.cipher'),
        );
        $this->now = $encrypter(config()->string('app.key'));
        $before = [];
        foreach (config()->array('app.previous_keys') as $key) {
            if (is_string($key)) {
                $before[] = $encrypter($key);
            }
        }
        $this->before = $before;
    }

    /** @return array<string, list<string>> encrypted columns by table */
    public static function columns(): array
    {
        return array_merge_recursive(SealedColumns::all(), self::ALSO);
    }

    /**
     * @param  int  $most  cells that are encrypted anew before it stops
     * @return Generator<int, array{table: string, done: int, all: int}> where it is, table by table
     */
    public function run(int $most = PHP_INT_MAX): Generator
    {
        $left = $most;
        foreach (self::columns() as $table => $columns) {
            $key = self::keyOf($table);
            $all = DB::table($table)->count();
            $done = 0;
            yield ['table' => $table, 'done' => 0, 'all' => $all];
            for ($after = null; $left > 0;) {
                $rows = DB::table($table)->when($after !== null, fn ($query) => $query->where($key, '>', $after))->orderBy($key)
                    ->limit(self::AT_ONCE)->get([$key, ...$columns]);
                if ($rows->isEmpty()) {
                    break;
                }
                $left -= $this->batch($table, $key, $columns, $rows->all(), $left);
                $after = $rows->last()->{$key};
                $done += $rows->count();
                yield ['table' => $table, 'done' => $done, 'all' => $all];
            }
        }
    }

    public function unreadable(): int
    {
        return $this->unreadable;
    }

    /** @return int cells that only an earlier key opens; what no key opens is not counted */
    public function left(): int
    {
        $left = 0;
        foreach (self::columns() as $table => $columns) {
            $key = self::keyOf($table);
            foreach (DB::table($table)->select([$key, ...$columns])->lazyById(1000, $key) as $row) {
                foreach ($columns as $column) {
                    $left += $this->opened($row->{$column}) === null ? 0 : 1;
                }
            }
        }

        return $left;
    }

    /**
     * @param  list<string>  $columns
     * @param  array<array-key, stdClass>  $rows
     * @return int cells that were encrypted anew
     */
    private function batch(string $table, string $key, array $columns, array $rows, int $most): int
    {
        $changes = [];
        $cells = 0;
        foreach ($rows as $row) {
            foreach ($columns as $column) {
                $plain = $cells < $most ? $this->opened($row->{$column}, count: true) : null;
                if ($plain !== null) {
                    $changes[$row->{$key}][$column] = [$row->{$column}, $plain];
                    $cells++;
                }
            }
        }
        if ($changes !== []) {
            DB::transaction(function () use ($table, $key, $changes): void {
                DB::table(Door::TABLE)->insert(['connection' => DB::scalar('select connection_id()')]);
                foreach ($changes as $id => $cells) {
                    foreach ($cells as $column => [$sealed, $plain]) {
                        // What somebody has written meanwhile is under the present key already.
                        DB::table($table)->where($key, $id)->where($column, $sealed)
                            ->update([$column => $this->now->encryptString($plain)]);
                    }
                }
                DB::table(Door::TABLE)->where('connection', DB::scalar('select connection_id()'))->delete();
            }, 3);
        }

        return $cells;
    }

    /** What a cell holds; null when there is nothing to do: it is empty, under the present key, or opens with none. */
    private function opened(mixed $sealed, bool $count = false): ?string
    {
        if (! is_string($sealed) || $sealed === '' || self::open($this->now, $sealed) !== null) {
            return null;
        }
        foreach ($this->before as $encrypter) {
            $plain = self::open($encrypter, $sealed);
            if ($plain !== null) {
                return $plain;
            }
        }
        $this->unreadable += $count ? 1 : 0;

        return null;
    }

    private static function open(Encrypter $encrypter, string $sealed): ?string
    {
        try {
            return $encrypter->decryptString($sealed);
        } catch (DecryptException) {
            return null;
        }
    }

    private static function keyOf(string $table): string
    {
        $key = DB::scalar(
            "select column_name from information_schema.key_column_usage where table_schema = database() and constraint_name = 'PRIMARY'
                and table_name = ? limit 1",
            [$table],
        );

        return is_string($key) ? $key : 'id';
    }
}
