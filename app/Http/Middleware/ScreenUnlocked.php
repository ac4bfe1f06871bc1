<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Guard\ScreenLock;
use App\Models\Device;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets a device see its patient's practice only after the PIN. */
final class ScreenUnlocked
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $device = $request->user('device');
        abort_unless($device instanceof Device && ScreenLock::isOpenFor($request, $device), 423, (string) __('problem.pin'));
        ScreenLock::keepOpen($device);

        return $next($request);
    }
}
