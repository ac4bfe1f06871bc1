<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\AcceptInvitation;
use App\Http\Requests\Account\JoinRequest;
use App\Http\Requests\Account\PersonRequest;
use App\Models\Invitation;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** Where an invited person comes in. What opens the door stands behind the # of the address, so it reaches no log. */
final class JoinController
{
    use ComesIn;

    public function create(): Response
    {
        return Inertia::render('Join');
    }

    public function look(Request $request): JsonResponse
    {
        $invitation = Invitation::of($request->string('token')->value())->with('clinic')->first();
        abort_if($invitation === null, 404);

        return response()->json(
            ['clinic' => $invitation->clinic->name, 'email' => $invitation->email, 'role' => $invitation->role->label()],
        );
    }

    public function store(JoinRequest $request, AcceptInvitation $accept): RedirectResponse
    {
        $who = $this->comeIn($request, $request->tries(), fn (string $token) => $accept(
            $token, ...PersonRequest::read($request), password: $request->string('password')->value(),
        ));

        return redirect('/')->with('flash', "Welcome to {$who->clinic->name}.");
    }
}
