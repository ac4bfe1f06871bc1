<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Encryption\Encrypter;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/** Before cookies are opened: how they came stays at hand, so that it can be told under which key they were closed. */
final class KeepsSealedCookies
{
    private const AT = 'sealed_cookies';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $request->attributes->set(self::AT, $request->cookies->all());

        return $next($request);
    }

    /** Whether it came closed under an earlier key than the present one. */
    public static function isUnderAnEarlierKey(Request $request, string $cookie): bool
    {
        $sealed = $request->attributes->get(self::AT)[$cookie] ?? null;
        $key = config()->string('app.key');
        $plain = Str::startsWith($key, 'base64:') ? (string) base64_decode(Str::after($key, 'base64:')) : $key;
        if (! is_string($sealed)) {
            return false;
        }
        try {
            (new Encrypter($plain, config()->string('app.cipher')))->decrypt($sealed, false);

            return false;
        } catch (DecryptException) {
            return true;
        }
    }
}
