<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * The patient's requests carry a header that only our own pages can send. It stands in for the session's form
 * token, because a practice may be delivered days after every session has expired.
 */
final class FromOurPages
{
    public const HEADER = 'X-Ivory-Pace';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        abort_if($request->header(self::HEADER) === null, 400, (string) __('problem.our-pages'));

        return $next($request);
    }
}
