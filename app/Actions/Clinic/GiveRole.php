<?php

declare(strict_types=1);

namespace App\Actions\Clinic;

use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Gives a colleague a role. A clinic always keeps a lead, also when two leads step down at the same moment. */
final class GiveRole
{
    /** @throws ValidationException when nobody would lead the clinic */
    public function __invoke(Practitioner $practitioner, Role $role): void
    {
        DB::transaction(function () use ($practitioner, $role) {
            $leads = Practitioner::query()->lockForUpdate()->where('clinic_id', $practitioner->clinic_id)->where('role', Role::Lead)
                ->whereNull('ended_at')->pluck('id');
            if ($role !== Role::Lead && $leads->reject(fn (mixed $id) => $id === $practitioner->id)->isEmpty()) {
                throw ValidationException::withMessages(['role' => 'A clinic needs a lead. Make someone else the lead first.']);
            }
            $practitioner->update(['role' => $role]);
        });
    }
}
