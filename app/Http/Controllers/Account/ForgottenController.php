<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\ChangePassword;
use App\Guard\Trail;
use App\Guard\Tries;
use App\Http\Requests\Account\ResetPasswordRequest;
use App\Mail\AccountMail;
use App\Models\Practitioner;
use App\Models\TrailKind;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Timebox;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** A forgotten password. Whether there is such an account cannot be told, neither from the answer nor from how long it takes. */
final class ForgottenController
{
    private const TAKES_MICROSECONDS = 800_000;

    public function create(): Response
    {
        return Inertia::render('Forgotten');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            ['email' => ['required', 'string', 'email', 'max:190']],
            ['email.required' => 'Type your e-mail address.', 'email.email' => 'This is not an e-mail address.'],
        );
        $email = Practitioner::addressOf($request->string('email')->value());
        $here = Tries::addressOf($request->ip());
        $tries = new Tries(["forgotten:$here" => 10, 'forgotten:account:'.hash('sha256', $email) => 5], 15);
        $tries->ensureSomeAreLeft('email');
        $tries->countFailure();
        (new Timebox)->call(fn () => Password::sendResetLink(
            ['email' => $email, fn (Builder $query) => $query->whereNull('ended_at')],
            function (Practitioner $who, string $token): void {
                $address = rtrim(config()->string('app.url'), '/')."/new-password#$token~".rawurlencode($who->email);
                Mail::to($who->email)->queue(
                    AccountMail::forgottenPassword($who->clinic, $address, config()->integer('auth.passwords.practitioners.expire')),
                );
            },
        ), self::TAKES_MICROSECONDS);

        return redirect('/forgotten')->with('flash', 'If somebody signs in with this address, a message is on its way to it.');
    }

    public function edit(): Response
    {
        return Inertia::render('NewPassword');
    }

    public function update(ResetPasswordRequest $request, ChangePassword $change, Trail $trail): RedirectResponse
    {
        $tries = $request->tries();
        $tries->ensureSomeAreLeft('password');
        $status = Password::reset(
            [
                'email' => Practitioner::addressOf($request->string('email')->value()), 'token' => $request->string('token')->value(),
                'password' => $request->string('password')->value(), fn (Builder $query) => $query->whereNull('ended_at'),
            ],
            function (Practitioner $who, string $password) use ($change, $trail): void {
                $change($who, $password, null);
                $trail->practitioner($who, TrailKind::Write, 'account/password');
            },
        );
        if ($status !== Password::PasswordReset) {
            $tries->countFailure();
            throw ValidationException::withMessages(['token' => 'This link does not work any more. Ask for another one.']);
        }

        return redirect('/sign-in')->with('flash', 'Your password is changed. Sign in with it.');
    }
}
