<?php

declare(strict_types=1);

namespace App\Guard;

use ErrorException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;
use PDOException;
use Symfony\Component\HttpFoundation\Response as AnyResponse;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What a person sees when something goes wrong: what it is and what to do, never a trace. */
final class Problems
{
    /** Of which there are words; the practitioner reads them in English, a device in the language of its patient. */
    private const KNOWN = [401, 403, 404, 405, 410, 413, 415, 419, 422, 423, 429, 500, 503];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(fn (Request $request) => $request->is('api/*') || $request->expectsJson());
        $exceptions->report(function (QueryException $problem): bool {
            // Its own message holds the values, which are a patient's.
            Log::error('The database refused a statement.', [
                'code' => $problem->getCode(), 'sql' => $problem->getSql(),
                'why' => self::withoutValues($problem->getPrevious()?->getMessage() ?? ''), 'at' => self::placeOf($problem),
            ]);

            return false;
        });
        $exceptions->render(fn (PDOException $problem, Request $request) => match (true) {
            self::isConnectionTrouble($problem) => self::answer(503, null, $request),
            // What got past every check and the database would not have: a value, not a fault of ours. It is logged all the same.
            NoValue::is($problem) => self::answer(422, null, $request),
            default => null,
        });
        // A page stays where it is, with what was typed; it asks to sign in again and goes on.
        $exceptions->render(fn (AuthenticationException $problem, Request $request) => $request->header('X-Inertia') !== null
            ? self::answer(401, null, $request) : null);
        // A list where one text is read.
        $exceptions->render(fn (ErrorException $problem, Request $request) => $problem->getMessage() === 'Array to string conversion'
            ? self::answer(422, null, $request) : null);
        $exceptions->respond(
            fn (AnyResponse $response, Throwable $problem, Request $request) => self::respond($response, $problem, $request),
        );
    }

    private static function respond(AnyResponse $response, Throwable $problem, Request $request): AnyResponse
    {
        $status = $response->getStatusCode();
        $isOfAForm = $status === 422 && ! $problem instanceof HttpExceptionInterface;
        if ($response instanceof RedirectResponse || $isOfAForm || $status < 400 || $response->headers->has('X-Problem')) {
            return $response;
        }
        $isOurs = $problem instanceof HttpExceptionInterface && ! $problem instanceof PostTooLargeException;
        $message = $isOurs && $problem->getMessage() !== '' && $status < 500 && $status !== 404
            ? $problem->getMessage() : null;
        $answer = self::answer($status, $message, $request);
        if ($response->headers->has('Retry-After')) {
            $answer->headers->set('Retry-After', (string) $response->headers->get('Retry-After'));
        }

        return $answer;
    }

    private static function answer(int $status, ?string $message, Request $request): AnyResponse
    {
        $known = in_array($status, self::KNOWN, true) ? $status : ($status >= 500 ? 500 : 404);
        $title = (string) __("problem.$known.title");
        $text = (string) __("problem.$known.text");
        if ($request->expectsJson() || $request->is('api/*') || $request->header('X-Inertia') !== null) {
            // Inertia shows a plain JSON answer as an error of the page; our pages read it and keep what was typed.
            $answer = new JsonResponse(['message' => $message ?? $text, 'title' => $title], $status);
        } else {
            $answer = new Response(view('problem', ['title' => $title, 'text' => $message ?? $text])->render(), $status);
        }
        $answer->headers->set('X-Problem', (string) $status);

        return $answer;
    }

    /** "Duplicate entry '…' for key 'practices_uuid_unique'": names of keys are told, entries are not. */
    private static function withoutValues(string $message): string
    {
        return (string) preg_replace("/(?<!key )(?<!column )'[^']*'/", "'…'", $message);
    }

    private static function placeOf(Throwable $problem): string
    {
        foreach ($problem->getTrace() as $step) {
            if (isset($step['file']) && ! str_contains($step['file'], '/vendor/')) {
                return str_replace(base_path().'/', '', $step['file']).':'.($step['line'] ?? 0);
            }
        }

        return '';
    }

    private static function isConnectionTrouble(PDOException $problem): bool
    {
        $cause = $problem instanceof QueryException ? $problem->getPrevious() : $problem;
        $text = $cause?->getMessage() ?? '';

        return preg_match('/\[(2002|2003|2006|2013)\]|gone away|Connection refused|No such file or directory|WSREP has not/', $text) === 1;
    }
}
