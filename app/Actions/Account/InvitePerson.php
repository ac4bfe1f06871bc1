<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Mail\AccountMail;
use App\Models\Invitation;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Invites somebody by e-mail; the address that opens the account is also shown once to the lead. */
final class InvitePerson
{
    private const MOST_OPEN = 50;

    /**
     * @return string the address that opens the account
     *
     * @throws ValidationException
     */
    public function __invoke(Practitioner $lead, string $email, Role $role): string
    {
        $email = Practitioner::addressOf($email);
        $token = Str::random(48);
        DB::transaction(function () use ($lead, $email, $role, $token) {
            $known = Practitioner::query()->where('email', $email)->lockForUpdate()->first();
            // Somebody who was here before may come back; whoever works here, or elsewhere, has an account already.
            if ($known !== null && ($known->ended_at === null || $known->clinic_id !== $lead->clinic_id)) {
                throw ValidationException::withMessages(['email' => 'Somebody signs in with this address already.']);
            }
            Invitation::open()->where('clinic_id', $lead->clinic_id)->where('email', $email)->update(['withdrawn_at' => now()]);
            if (Invitation::open()->where('clinic_id', $lead->clinic_id)->count() >= self::MOST_OPEN) {
                throw ValidationException::withMessages(['email' => 'Too many invitations are open. Withdraw some first.']);
            }
            Invitation::query()->create([
                'clinic_id' => $lead->clinic_id, 'email' => $email, 'role' => $role, 'token_hash' => hash('sha256', $token),
                'by_id' => $lead->id, 'made_at' => now(), 'expires_at' => now()->addDays(Invitation::DAYS),
            ]);
        });
        $address = rtrim(config()->string('app.url'), '/')."/join#$token";
        Mail::to($email)->queue(AccountMail::invitation($lead->clinic, $lead->name, $address, Invitation::DAYS));

        return $address;
    }
}
