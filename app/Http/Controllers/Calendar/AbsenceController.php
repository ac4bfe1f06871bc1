<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calendar;

use App\Guard\Trail;
use App\Http\Requests\Calendar\AbsenceRequest;
use App\Models\Absence;
use App\Models\Appointment;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** When somebody of the clinic is away. Colleagues enter it for each other. */
final class AbsenceController
{
    public function __construct(private readonly Trail $trail)
    {
    }

    public function store(AbsenceRequest $request, #[CurrentUser] Practitioner $practitioner): RedirectResponse
    {
        [$from, $to] = $request->fromTo($practitioner->clinic->time_zone);
        $who = $request->who();
        Absence::query()->create(['practitioner_id' => $who->id, 'starts_at' => $from, 'ends_at' => $to, 'reason' => $request->reason()]);
        $this->trail->changed('away', null, $who->name);
        $waiting = Appointment::query()->where('practitioner_id', $who->id)->whereNull('cancelled_at')->where('starts_at', '>=', $from)
            ->where('starts_at', '<', $to)->count();

        return back(fallback: '/week')->with('flash', "{$who->name} is away then.".match ($waiting) {
            0 => '',
            1 => ' One appointment stands in that time.',
            default => " {$waiting} appointments stand in that time.",
        });
    }

    public function destroy(#[CurrentUser] Practitioner $practitioner, int $absence): RedirectResponse
    {
        $found = Absence::query()->whereHas('practitioner', fn ($who) => $who->where('clinic_id', $practitioner->clinic_id))
            ->findOrFail($absence);
        $this->trail->changed('away', $found->practitioner->name, null);
        $found->delete();

        return back(fallback: '/week')->with('flash', "{$found->practitioner->name} is there again.");
    }
}
