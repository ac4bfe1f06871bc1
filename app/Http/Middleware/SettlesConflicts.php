<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Guard\Conflict;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * What met somebody else's change is tried again from where rows are looked up: a row that was read and changed before the conflict
 * would think that it has been stored.
 */
final class SettlesConflicts
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }

        return Conflict::settle(
            function (int $before) use ($request, $next): Response {
                if ($before > 0) {
                    self::forget($request);
                }

                return $next($request);
            },
            fn (Response $response) => $response->exception ?? null,
        );
    }

    private static function forget(Request $request): void
    {
        $request->route()?->bind($request);
        app()->forgetScopedInstances();
        foreach (['practitioner', 'device'] as $guard) {
            if (Auth::guard($guard)->hasUser()) {
                self::read(Auth::guard($guard)->user());
            }
        }
    }

    private static function read(mixed $who): void
    {
        if ($who instanceof Model) {
            $who->refresh();
        }
    }
}
