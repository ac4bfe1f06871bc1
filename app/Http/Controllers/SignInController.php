<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Account\SecondFactor;
use App\Guard\Trail;
use App\Guard\Tries;
use App\Http\Middleware\SessionHolds;
use App\Http\Requests\SignInRequest;
use App\Models\Clinic;
use App\Models\Practitioner;
use App\Models\TrailKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Signing in by password and, where it was set up, by a code of the phone. */
final class SignInController
{
    /** Between password and code, in the session. */
    private const HALF_WAY = 'second-factor';

    private const MINUTES = 5;

    private const TOO_LONG = 'That took too long. Sign in again.';

    public function __construct(private readonly Trail $trail)
    {
    }

    public function create(): Response
    {
        return Inertia::render('SignIn', ['is_founded' => Clinic::query()->exists()]);
    }

    public function store(SignInRequest $request): RedirectResponse|JsonResponse
    {
        $who = $request->authenticate($this->trail);
        if (! $who->hasSecondFactor()) {
            return $this->signIn($request, $who);
        }
        $request->session()->put(self::HALF_WAY, ['id' => $who->id, 'until' => now()->addMinutes(self::MINUTES)->getTimestamp()]);

        return $request->expectsJson() ? response()->json(['key' => null, 'needs_code' => true]) : redirect('/sign-in/code');
    }

    public function code(Request $request): Response|RedirectResponse
    {
        return $this->halfWay($request) === null ? redirect('/sign-in') : Inertia::render('SignInCode');
    }

    public function acceptCode(Request $request, SecondFactor $factor): RedirectResponse|JsonResponse
    {
        $who = $this->halfWay($request);
        if ($who === null) {
            $this->tookTooLong($request);

            return redirect('/sign-in')->withErrors(['email' => self::TOO_LONG]);
        }
        $request->validate(['code' => ['required', 'string', 'max:40']], ['code.required' => 'Type the code that your phone shows.']);
        $tries = new Tries(["code:{$who->id}" => 10], 15);
        $tries->ensureSomeAreLeft('code');
        $left = $factor->accept($who, $request->string('code')->value());
        if ($left === null) {
            $tries->countFailure();
            $this->trail->practitioner($who, TrailKind::Refused, 'account/second-factor');
            throw ValidationException::withMessages(['code' => SecondFactor::WRONG]);
        }
        $tries->forget("code:{$who->id}");
        $answer = $this->signIn($request, $who);

        return $left < 0 || $answer instanceof JsonResponse ? $answer : $answer->with(
            'flash', "That recovery code is used up; $left are left. Setting the second factor up again, under your name, makes new ones.",
        );
    }

    public function destroy(Request $request): RedirectResponse
    {
        $who = $request->user('practitioner');
        if ($who instanceof Practitioner) {
            $this->trail->practitioner($who, TrailKind::SignOut, 'account/sign-in');
        }
        Auth::guard('practitioner')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
        // Back must not show what was read.
        Inertia::clearHistory();

        return redirect('/sign-in');
    }

    /** @throws ValidationException where the window that asks again cannot be led elsewhere */
    private function tookTooLong(Request $request): void
    {
        if ($request->expectsJson()) {
            throw ValidationException::withMessages(['email' => self::TOO_LONG]);
        }
    }

    /** A window that asks again on a page is told whose page it may be; everybody else is led on. */
    private function signIn(Request $request, Practitioner $who): RedirectResponse|JsonResponse
    {
        $request->session()->forget(self::HALF_WAY);
        Auth::guard('practitioner')->login($who);
        $request->session()->regenerate();
        SessionHolds::begin($request);
        $this->trail->practitioner($who, TrailKind::SignIn, 'account/sign-in');

        return $request->expectsJson()
            ? response()->json(['key' => $who->keyOfDrafts(), 'needs_code' => false]) : redirect()->intended('/');
    }

    private function halfWay(Request $request): ?Practitioner
    {
        $kept = $request->session()->get(self::HALF_WAY);

        return is_array($kept) && $kept['until'] > now()->getTimestamp()
            ? Practitioner::query()->whereNull('ended_at')->whereKey($kept['id'])->first() : null;
    }
}
