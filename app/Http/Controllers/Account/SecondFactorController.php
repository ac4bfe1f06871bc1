<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\SecondFactor;
use App\Guard\Tries;
use App\Http\Requests\Account\YourPasswordRequest;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The second factor of one's own account. */
final class SecondFactorController
{
    public function begin(YourPasswordRequest $request, #[CurrentUser] Practitioner $who, SecondFactor $factor): RedirectResponse
    {
        if ($who->hasSecondFactor()) {
            throw ValidationException::withMessages(['your_password' => 'It is set up already. Remove it first to use another phone.']);
        }
        $factor->begin($who);

        return back(fallback: '/account');
    }

    public function confirm(Request $request, #[CurrentUser] Practitioner $who, SecondFactor $factor): RedirectResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:20']], ['code.required' => 'Type the code that your phone shows.']);
        $tries = new Tries(["code:{$who->id}" => 10], 15);
        $tries->ensureSomeAreLeft('code');
        try {
            $codes = $factor->confirm($who, $request->string('code')->value());
        } catch (ValidationException $wrong) {
            $tries->countFailure();
            throw $wrong;
        }

        return back(fallback: '/account')->with('recovery_codes', $codes)
            ->with('flash', 'From now on signing in asks for a code. Keep the recovery codes below in a safe place.');
    }

    public function remove(YourPasswordRequest $request, #[CurrentUser] Practitioner $who, SecondFactor $factor): RedirectResponse
    {
        $factor->remove($who);

        return back(fallback: '/account')->with('flash', 'Signing in no longer asks for a code.');
    }
}
