<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Practitioner;
use Closure;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Crypt;
use Symfony\Component\HttpFoundation\Response;

/**
 * Twice is once: what the same sign-in sends again within a few seconds, word for word and with nothing else sent in between,
 * is answered as the first time and done once. A double click makes no second measurement, session or link.
 */
final class OnceOnly
{
    private const SECONDS = 5;

    private const MOST_WAIT = 10;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $who = $request->user('practitioner');
        if ($who instanceof Practitioner && $request->isMethodSafe() && ! $request->hasHeader('X-Inertia') && ! $request->expectsJson()) {
            // A page opened anew: what is sent from it is meant anew.
            Cache::forget(self::keyOf($request, $who));
        }
        $changes = ! $request->isMethodSafe() && ! LeavesTrail::onlyComputes($request) && $request->allFiles() === [];
        if (! $changes || ! $who instanceof Practitioner) {
            return $next($request);
        }
        $key = self::keyOf($request, $who);
        try {
            return Cache::lock("$key:lock", self::MOST_WAIT)->block(self::MOST_WAIT, fn () => $this->once($request, $next, $key));
        } catch (LockTimeoutException) {
            return $next($request);
        }
    }

    /** @param  Closure(Request): Response  $next */
    private function once(Request $request, Closure $next, string $key): Response
    {
        $body = $request->getContent()."\n".json_encode($request->request->all());
        $what = hash('sha256', "{$request->method()} {$request->fullUrl()}\n$body");
        $last = Cache::get($key);
        if (is_array($last) && $last['what'] === $what && $last['until'] >= now()->getTimestamp()) {
            return $this->again($last, $request);
        }
        $response = $next($request);
        $isDone = $response->getStatusCode() < 400 && ! isset($response->exception);
        if ($isDone && ($response instanceof RedirectResponse || $response instanceof JsonResponse)) {
            Cache::put($key, [
                'what' => $what, 'until' => now()->getTimestamp() + self::SECONDS, 'status' => $response->getStatusCode(),
                'to' => $response instanceof RedirectResponse ? Crypt::encryptString($response->getTargetUrl()) : null,
                'flash' => Crypt::encrypt(self::flashed($request)),
                'body' => $response instanceof JsonResponse ? Crypt::encryptString((string) $response->getContent()) : null,
            ], self::SECONDS);
        } else {
            Cache::forget($key);
        }

        return $response;
    }

    /** @param  array<string, mixed>  $last */
    private function again(array $last, Request $request): Response
    {
        if (is_string($last['to'])) {
            // What is shown once is shown to whoever pressed twice.
            foreach ((array) Crypt::decrypt((string) $last['flash']) as $name => $value) {
                $request->session()->flash((string) $name, $value);
            }

            return redirect(Crypt::decryptString($last['to']), (int) $last['status']);
        }

        return new JsonResponse(Crypt::decryptString((string) $last['body']), (int) $last['status'], [], 0, true);
    }

    private static function keyOf(Request $request, Practitioner $who): string
    {
        return 'once:'.hash('sha256', "$who->id|{$request->session()->getId()}");
    }

    /** @return array<string, mixed> */
    private static function flashed(Request $request): array
    {
        $session = $request->session();

        $flashed = [];
        foreach (array_filter((array) $session->get('_flash.new', []), is_string(...)) as $name) {
            $flashed[$name] = $session->get($name);
        }

        return $flashed;
    }
}
