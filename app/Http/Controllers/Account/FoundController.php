<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\FoundClinic;
use App\Http\Requests\Account\FoundRequest;
use App\Http\Requests\Account\PersonRequest;
use App\Models\Founding;
use DateTimeZone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** Where a clinic begins. What opens the door stands behind the # of the address, so it reaches no log. */
final class FoundController
{
    use ComesIn;

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
        $who = $this->comeIn($request, $request->tries(), fn (string $token) => $found(
            $token, $request->clinic(), PersonRequest::read($request),
            $request->string('email')->value(), $request->string('password')->value(),
        ));

        return redirect('/')->with('flash', "{$who->clinic->name} is founded. Add your first patient, or invite a colleague under Clinic.");
    }
}
