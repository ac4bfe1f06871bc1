<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * The door for every request: what is no text in UTF-8, or holds a zero byte, never gets further, for it would be stored and
 * never be read again. What a device sends with a body is JSON.
 */
final class ReadableText
{
    /** Fields inside of fields: deeper is nothing that our pages send. */
    private const DEEPEST = 24;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless(self::isReadable(rawurldecode($request->getPathInfo())), 404);
        $isDevice = $request->is('api/*');
        $hasBody = ! in_array($request->method(), ['GET', 'HEAD'], true) && $request->getContent() !== '';
        // Samples come as lines of JSON; what is wrong in one of them is told by its number.
        $isLines = $request->is('api/v1/sensor/recordings/*/parts/*');
        abort_if($isDevice && $hasBody && ! $request->isJson() && ! $isLines, 415, (string) __('problem.only-json'));
        $isJson = $request->isJson() && ! $isLines;
        $body = match (true) {
            $isLines => '',
            $isJson => $request->getContent(),
            default => $request->request->all(),
        };
        abort_unless(
            self::isReadable($request->query->all()) && self::isReadable($body)
                && (! $isJson || $body === '' || self::isReadable($request->json()->all())),
            422, (string) __('problem.422.text'),
        );

        return $next($request);
    }

    private static function isReadable(mixed $value, int $depth = 0): bool
    {
        if (is_string($value)) {
            return mb_check_encoding($value, 'UTF-8') && ! str_contains($value, "\0");
        }
        if (! is_array($value)) {
            return ! is_float($value) || is_finite($value);
        }
        if ($depth > self::DEEPEST) {
            return false;
        }
        foreach ($value as $key => $each) {
            if (! self::isReadable((string) $key) || ! self::isReadable($each, $depth + 1)) {
                return false;
            }
        }

        return true;
    }
}
