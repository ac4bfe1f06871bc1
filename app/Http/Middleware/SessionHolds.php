<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Practitioner;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * A sign-in ends after twelve hours however busy it is (after half an hour without a request it ends by itself), and at once
 * when the person no longer works here. Where the clinic demands a second factor, nothing else is done before it is set up.
 */
final class SessionHolds
{
    private const BEGAN = 'began_at';

    /** What is needed to set it up, or to leave. */
    private const WITHOUT_SECOND_FACTOR = ['account', 'account/*', 'sign-out'];

    public static function begin(Request $request): void
    {
        $request->session()->put(self::BEGAN, now()->getTimestamp());
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $who = $request->user('practitioner');
        if (! $who instanceof Practitioner) {
            return $next($request);
        }
        $began = $request->session()->get(self::BEGAN);
        if ($began === null) {
            self::begin($request);
        } elseif ($began < now()->subHours(config()->integer('session.most_hours'))->getTimestamp()) {
            $this->end($request);
        }
        if ($who->ended_at !== null) {
            $this->end($request);
        }
        if ($who->clinic->demands_second_factor && ! $who->hasSecondFactor() && ! $request->is(...self::WITHOUT_SECOND_FACTOR)) {
            return redirect('/account')->with('flash', 'Your clinic asks for a second factor. Set it up here, then go on.');
        }

        return $next($request);
    }

    /** @throws AuthenticationException */
    private function end(Request $request): never
    {
        Auth::guard('practitioner')->logout();
        $request->session()->invalidate();
        throw new AuthenticationException('Unauthenticated.', ['practitioner'], '/sign-in');
    }
}
