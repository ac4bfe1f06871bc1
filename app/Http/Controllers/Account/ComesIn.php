<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Guard\Tries;
use App\Http\Middleware\SessionHolds;
use App\Models\Practitioner;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Whoever opens an account by an address that works once is signed in at once; wrong addresses are counted. */
trait ComesIn
{
    /**
     * @param  Closure(string): Practitioner  $open  by what stands behind the # of the address
     *
     * @throws ValidationException
     */
    private function comeIn(Request $request, Tries $tries, Closure $open): Practitioner
    {
        $tries->ensureSomeAreLeft('token');
        try {
            $who = $open($request->string('token')->value());
        } catch (ValidationException $problem) {
            if (isset($problem->errors()['token'])) {
                $tries->countFailure();
            }
            throw $problem;
        }
        Auth::guard('practitioner')->login($who);
        $request->session()->regenerate();
        SessionHolds::begin($request);

        return $who;
    }
}
