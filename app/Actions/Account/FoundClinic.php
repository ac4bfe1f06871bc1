<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Guard\Passwords;
use App\Guard\Trail;
use App\Models\Clinic;
use App\Models\Founding;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\TrailKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A clinic begins: what it is called, what its patients read in an emergency, and its first person, who leads it. */
final class FoundClinic
{
    public const GONE = 'This address does not work any more. Whoever runs the server makes a new one with: php artisan clinic:found';

    public function __construct(private readonly Trail $trail)
    {
    }

    /**
     * @param  array{name: string, time_zone: string, emergency_wording: string, crisis_number: string, telephone: string|null}  $clinic
     * @param  array{name: string, profession: string, registration: string|null}  $lead
     *
     * @throws ValidationException
     */
    public function __invoke(string $token, array $clinic, array $lead, string $email, string $password): Practitioner
    {
        $email = Practitioner::addressOf($email);

        return DB::transaction(function () use ($token, $clinic, $lead, $email, $password) {
            $founding = Founding::of($token)->lockForUpdate()->first();
            if ($founding === null) {
                throw ValidationException::withMessages(['token' => self::GONE]);
            }
            $problem = Passwords::problem($password, [$lead['name'], $email, $clinic['name']]);
            if ($problem !== null) {
                throw ValidationException::withMessages(['password' => $problem]);
            }
            if (Practitioner::query()->where('email', $email)->lockForUpdate()->exists()) {
                throw ValidationException::withMessages(['email' => 'Somebody signs in with this address already. Use another.']);
            }
            $founded = Clinic::query()->create($clinic)->refresh();
            $who = Practitioner::query()->create([
                ...$lead, 'clinic_id' => $founded->id, 'role' => Role::Lead, 'email' => $email, 'password' => $password,
            ]);
            $founding->update(['used_at' => now(), 'clinic_id' => $founded->id]);
            $this->trail->practitioner($who, TrailKind::Write, 'clinic/founded');

            return $who->setRelation('clinic', $founded);
        });
    }
}
