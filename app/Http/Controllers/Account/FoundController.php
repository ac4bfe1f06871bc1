<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\FoundClinic;
use App\Http\Middleware\SessionHolds;
use App\Http\Requests\Account\FoundRequest;
use App\Http\Requests\Account\PersonRequest;
use App\Models\Founding;
use DateTimeZone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Where a clinic begins. What opens the door stands behind the # of the address, so it reaches no log. */
final class FoundController
{
    public function create(): Response
    {
        return Inertia::render('Found', ['time_zones' => DateTimeZone::listIdentifiers()]);
    }

    /** Before everything is typed. */
    public function look(Request $request): JsonResponse
    {
        abort_unless(Founding::of($request->string('token')->value())->exists(), 404);

        return response()->json(['open' => true]);
    }

    public function store(FoundRequest $request, FoundClinic $found): RedirectResponse
    {
        $tries = $request->tries();
        $tries->ensureSomeAreLeft('token');
        try {
            $who = $found(
                $request->string('token')->value(), $request->clinic(), PersonRequest::read($request),
                $request->string('email')->trim()->value(), $request->string('password')->value(),
            );
        } catch (ValidationException $problem) {
            if (isset($problem->errors()['token'])) {
                $tries->countFailure();
            }
            throw $problem;
        }
        Auth::guard('practitioner')->login($who);
        $request->session()->regenerate();
        SessionHolds::begin($request);

        return redirect('/')->with('flash', "{$who->clinic->name} is founded. Add your first patient, or invite a colleague under Clinic.");
    }
}
