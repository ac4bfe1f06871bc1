<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Session\Middleware\StartSession as LaravelsStartSession;

/**
 * What only reads along or computes does not write the session back. It may be answered later than a request that put
 * something there meanwhile, like the line that says what was done, and would take that away again.
 */
final class StartSession extends LaravelsStartSession
{
    protected function saveSession($request): void
    {
        $readsAlong = $request->isMethod('GET') && $request->headers->has('X-Inertia-Partial-Data');
        if (! $readsAlong && ! LeavesTrail::onlyComputes($request)) {
            parent::saveSession($request);
        }
    }
}
