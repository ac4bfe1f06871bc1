<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;

/** Where somebody is signed in; ending one takes effect with its next request. */
final class Sessions
{
    public const MOST = 30;

    /** @return list<array{id: string, key: string, agent: string, place: string, last: int}> the latest first */
    public static function of(Practitioner $who): array
    {
        $since = now()->subMinutes(config()->integer('session.lifetime'))->getTimestamp();
        $rows = DB::table('sessions')->where('user_id', $who->id)->where('last_activity', '>', $since)->orderByDesc('last_activity')
            ->limit(self::MOST)->get(['id', 'user_agent', 'ip_address', 'last_activity']);

        return array_values($rows->map(fn (object $row) => [
            'id' => (string) $row->id, 'key' => self::key((string) $row->id), 'agent' => (string) $row->user_agent,
            'place' => (string) $row->ip_address, 'last' => (int) $row->last_activity,
        ])->all());
    }

    /** What a page may know of a session: enough to end it, nothing to use it. */
    public static function key(string $id): string
    {
        return substr(hash('sha256', $id), 0, 16);
    }

    /** @return int how many were ended */
    public static function end(Practitioner $who, ?string $key = null, ?string $except = null): int
    {
        $ids = array_column(self::of($who), 'id');
        if ($key === null) {
            return DB::table('sessions')->where('user_id', $who->id)
                ->when($except !== null, fn ($query) => $query->where('id', '<>', $except))->delete();
        }

        return DB::table('sessions')->where('user_id', $who->id)
            ->whereIn('id', array_filter($ids, fn (string $id) => self::key($id) === $key))->delete();
    }
}
