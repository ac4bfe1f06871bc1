<?php

declare(strict_types=1);

namespace App\Actions\Clinic;

use App\Models\OwnWork;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps what a clinic has made under a name that no other of its kind has there. */
final class KeepOwnWork
{
    /**
     * @template T of OwnWork
     *
     * @param  T  $own
     * @param  array<string, mixed>  $fields
     * @param  string  $nameField  where a problem with the name is shown
     * @return T
     *
     * @throws ValidationException
     */
    public function __invoke(OwnWork $own, Practitioner $by, string $name, array $fields, string $nameField): OwnWork
    {
        return DB::transaction(function () use ($own, $by, $name, $fields, $nameField) {
            $others = $own->newQuery()->where('clinic_id', $by->clinic_id)->when($own->exists, fn ($query) => $query->whereKeyNot($own->id))
                ->lockForUpdate()->limit(OwnWork::MOST)->get(['id', 'name']);
            if (! $own->exists && $others->count() >= OwnWork::MOST) {
                throw ValidationException::withMessages(
                    [$nameField => 'A clinic keeps '.OwnWork::MOST.' of its own at most. Delete one that is no longer used.'],
                );
            }
            if ($others->contains(fn (OwnWork $other) => mb_strtolower($other->name) === mb_strtolower($name))) {
                throw ValidationException::withMessages([$nameField => "There is one of this name already: “{$name}”."]);
            }
            $own->fill(['clinic_id' => $by->clinic_id, 'practitioner_id' => $by->id, 'name' => $name, 'fields' => $fields])->save();

            return $own;
        });
    }
}
