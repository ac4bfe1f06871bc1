<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Guard\Passwords;
use App\Guard\Trail;
use App\Models\Invitation;
use App\Models\Practitioner;
use App\Models\TrailKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** The invited person opens the account: who they are and a password of their own. Somebody who was here before comes back. */
final class AcceptInvitation
{
    public const GONE = 'This invitation does not work any more. Ask the lead of the clinic for a new one.';

    public function __construct(private readonly Trail $trail)
    {
    }

    /** @throws ValidationException */
    public function __invoke(string $token, string $name, string $profession, ?string $registration, string $password): Practitioner
    {
        return DB::transaction(function () use ($token, $name, $profession, $registration, $password) {
            $invitation = Invitation::of($token)->lockForUpdate()->first();
            if ($invitation === null) {
                throw ValidationException::withMessages(['token' => self::GONE]);
            }
            $problem = Passwords::problem($password, [$name, $invitation->email, $invitation->clinic->name]);
            if ($problem !== null) {
                throw ValidationException::withMessages(['password' => $problem]);
            }
            $known = Practitioner::query()->where('email', $invitation->email)->lockForUpdate()->first();
            if ($known !== null && ($known->ended_at === null || $known->clinic_id !== $invitation->clinic_id)) {
                throw ValidationException::withMessages(['token' => self::GONE]);
            }
            $invitation->update(['used_at' => now()]);
            $who = $known ?? new Practitioner;
            $who->fill([
                'clinic_id' => $invitation->clinic_id, 'email' => $invitation->email, 'role' => $invitation->role, 'name' => $name,
                'profession' => $profession, 'registration' => $registration, 'password' => $password, 'ended_at' => null,
                'second_factor' => null, 'second_factor_at' => null, 'second_factor_step' => null, 'recovery_codes' => null,
            ])->save();
            $this->trail->practitioner($who, TrailKind::Write, 'account/joined');

            return $who->setRelation('clinic', $invitation->clinic);
        });
    }
}
