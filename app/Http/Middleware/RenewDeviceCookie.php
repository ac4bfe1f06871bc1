<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Guard\DeviceGuard;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * While the key of the application is being replaced, a device gets its cookie once more, under the present key: else every phone would
 * be signed out when the earlier key is put away. One that has it is left alone: a late answer must not give a tablet back to whom it
 * belonged before.
 */
final class RenewDeviceCookie
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (config()->array('app.previous_keys') !== []) {
            $given = array_map(fn ($cookie) => $cookie->getName(), $response->headers->getCookies());
            foreach (DeviceGuard::renewed($request) as $cookie) {
                $isOld = KeepsSealedCookies::isUnderAnEarlierKey($request, $cookie->getName());
                if ($isOld && ! in_array($cookie->getName(), $given, true)) {
                    $response->headers->setCookie($cookie);
                }
            }
        }

        return $response;
    }
}
