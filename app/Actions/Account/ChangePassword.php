<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Guard\Passwords;
use App\Mail\AccountMail;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Validation\ValidationException;

/** A new password: all other places where this person is signed in are ended, and the person is told by mail. */
final class ChangePassword
{
    /**
     * @param  string|null  $here  the session that goes on
     *
     * @throws ValidationException
     */
    public function __invoke(Practitioner $who, string $password, ?string $here): void
    {
        $problem = Passwords::problem($password, [$who->name, $who->email, $who->clinic->name]);
        if ($problem !== null) {
            throw ValidationException::withMessages(['password' => $problem]);
        }
        DB::transaction(function () use ($who, $password, $here) {
            $who->update(['password' => $password, 'remember_token' => null]);
            Sessions::end($who, except: $here);
        });
        Mail::to($who->email)->queue(AccountMail::changed($who->clinic, 'Your password was changed.'));
    }
}
