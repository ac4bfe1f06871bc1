<?php

declare(strict_types=1);

namespace App\Guard;

use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use PDOException;
use Symfony\Component\HttpFoundation\Response as AnyResponse;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What a person sees when something goes wrong: what it is and what to do, never a trace. */
final class Problems
{
    private const TEXTS = [
        401 => [
            'Please sign in', 'You have been signed out. What you typed is still on the page: sign in again in another tab, then go on.',
        ],
        403 => ['Not yours to open', 'This belongs to another clinic or needs another sign-in.'],
        404 => ['Nothing here', 'There is no such page, or it is not yours to open.'],
        405 => ['Nothing here', 'This address cannot be opened like that.'],
        419 => [
            'Signed out meanwhile',
            'Your sign-in ended while the page was open. What you typed is still there: sign in again in another tab, then try again.',
        ],
        423 => ['Locked', 'Type your PIN first.'],
        429 => ['Too many tries', 'Wait a few minutes, then try again.'],
        500 => [
            'Something broke',
            'It is not your doing. Nothing was half-stored. Try again; if it stays, tell whoever runs this installation.',
        ],
        503 => [
            'The records cannot be reached',
            'The database does not answer. Nothing was stored, and what you typed is still on the page. Try again in a minute.',
        ],
    ];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->render(fn (PDOException $problem, Request $request) => self::isConnectionTrouble($problem)
            ? self::answer(503, null, $request) : null);
        $exceptions->respond(
            fn (AnyResponse $response, Throwable $problem, Request $request) => self::respond($response, $problem, $request),
        );
    }

    private static function respond(AnyResponse $response, Throwable $problem, Request $request): AnyResponse
    {
        $status = $response->getStatusCode();
        if ($response instanceof RedirectResponse || $status === 422 || $status < 400 || $response->headers->has('X-Problem')) {
            return $response;
        }
        $message = $problem instanceof HttpExceptionInterface && $problem->getMessage() !== '' && $status < 500 && $status !== 404
            ? $problem->getMessage() : null;
        $answer = self::answer($status, $message, $request);
        if ($response->headers->has('Retry-After')) {
            $answer->headers->set('Retry-After', (string) $response->headers->get('Retry-After'));
        }

        return $answer;
    }

    private static function answer(int $status, ?string $message, Request $request): AnyResponse
    {
        [$title, $text] = self::TEXTS[$status] ?? self::TEXTS[$status >= 500 ? 500 : 404];
        if ($request->expectsJson() || $request->is('api/*') || $request->header('X-Inertia') !== null) {
            // Inertia shows a plain JSON answer as an error of the page; our pages read it and keep what was typed.
            $answer = new JsonResponse(['message' => $message ?? $text, 'title' => $title], $status);
        } else {
            $answer = new Response(view('problem', ['title' => $title, 'text' => $message ?? $text])->render(), $status);
        }
        $answer->headers->set('X-Problem', (string) $status);

        return $answer;
    }

    private static function isConnectionTrouble(PDOException $problem): bool
    {
        $cause = $problem instanceof QueryException ? $problem->getPrevious() : $problem;
        $text = $cause?->getMessage() ?? '';

        return preg_match('/\[(2002|2003|2006|2013)\]|gone away|Connection refused|No such file or directory/', $text) === 1;
    }
}
