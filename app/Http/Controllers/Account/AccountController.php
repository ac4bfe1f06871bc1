<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\ChangePassword;
use App\Actions\Account\Sessions;
use App\Guard\OneTimeCode;
use App\Http\Requests\Account\NewPasswordRequest;
use App\Http\Requests\Account\PersonRequest;
use App\Models\CalendarAddress;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** One's own account: who one is, the password, the second factor, and where one is signed in. */
final class AccountController
{
    public function show(Request $request, #[CurrentUser] Practitioner $who): Response
    {
        $zone = $who->clinic->time_zone;
        $here = Sessions::key($request->session()->getId());
        $isBeingSetUp = $who->second_factor !== null && ! $who->hasSecondFactor();

        return Inertia::render('Account', [
            'person' => [
                'name' => $who->name, 'profession' => $who->profession, 'registration' => $who->registration ?? '', 'email' => $who->email,
                'mails_reviews' => $who->mails_reviews,
            ],
            'second_factor' => [
                'since' => $who->second_factor_at?->setTimezone($zone)->format('j M Y'),
                'demanded' => $who->clinic->demands_second_factor,
                'recovery_left' => count($who->recovery_codes ?? []),
                'secret' => $isBeingSetUp ? $who->second_factor : null,
                'address' => $isBeingSetUp ? OneTimeCode::address((string) $who->second_factor, $who->email) : null,
                'recovery_codes' => $request->session()->get('recovery_codes'),
            ],
            'calendar' => self::calendar($who, $request->session()->get('new_calendar')),
            'sessions' => array_map(fn (array $session) => [
                'key' => $session['key'], 'program' => self::program($session['agent']), 'place' => $session['place'],
                'last' => CarbonImmutable::createFromTimestamp($session['last'], $zone)->format('j M H:i'),
                'here' => $session['key'] === $here,
            ], Sessions::of($who)),
        ]);
    }

    /**
     * @param  mixed  $new  an address that is shown once
     * @return array{since: string|null, read: string|null, address: string|null}
     */
    private static function calendar(Practitioner $who, mixed $new): array
    {
        $address = CalendarAddress::of($who)->latest('id')->first();
        $zone = $who->clinic->time_zone;

        return [
            'since' => $address?->made_at->setTimezone($zone)->format('j M Y'),
            'read' => $address?->read_at?->setTimezone($zone)->format('j M H:i'),
            'address' => is_string($new) ? $new : null,
        ];
    }

    public function details(PersonRequest $request, #[CurrentUser] Practitioner $who): RedirectResponse
    {
        $who->update([
            ...PersonRequest::read($request),
            ...($request->has('mails_reviews') ? ['mails_reviews' => $request->boolean('mails_reviews')] : []),
        ]);

        return back(fallback: '/account')->with('flash', 'Kept.');
    }

    public function password(NewPasswordRequest $request, #[CurrentUser] Practitioner $who, ChangePassword $change): RedirectResponse
    {
        $change($who, $request->string('password')->value(), $request->session()->getId());

        return back(fallback: '/account')->with('flash', 'Password changed. Everywhere else you are signed out.');
    }

    public function endSession(string $key, #[CurrentUser] Practitioner $who): RedirectResponse
    {
        abort_if(Sessions::end($who, $key) === 0, 404, 'This sign-in has ended already.');

        return back(fallback: '/account')->with('flash', 'Signed out there.');
    }

    public function endOthers(Request $request, #[CurrentUser] Practitioner $who): RedirectResponse
    {
        $ended = Sessions::end($who, except: $request->session()->getId());

        return back(fallback: '/account')->with('flash', $ended === 0 ? 'You are signed in nowhere else.' : 'Signed out everywhere else.');
    }

    /** "Firefox on Linux" */
    private static function program(string $agent): string
    {
        $first = function (array $names) use ($agent): ?string {
            foreach ($names as $sign => $name) {
                if (str_contains($agent, $sign)) {
                    return $name;
                }
            }

            return null;
        };
        $browser = $first(['Firefox/' => 'Firefox', 'Edg/' => 'Edge', 'Chrome/' => 'Chromium or Chrome', 'Safari/' => 'Safari']);
        $system = $first([
            'iPhone' => 'iPhone', 'iPad' => 'iPad', 'Android' => 'Android', 'Windows' => 'Windows', 'Mac OS' => 'macOS', 'Linux' => 'Linux',
        ]);

        return implode(' on ', array_filter([$browser ?? 'A browser', $system]));
    }
}
