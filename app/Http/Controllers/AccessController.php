<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Access\MakeAccessLink;
use App\Actions\Access\SendAccessLink;
use App\Actions\Access\WithdrawConsent;
use App\Models\Consent;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Access\KeptAsides;
use App\Pages\Shared\PatientHead;
use App\Signals\TracesAgreed;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class AccessController
{
    public function show(Request $request, Patient $patient): Response
    {
        $zone = $patient->clinic->time_zone;
        $devices = $patient->devices()->whereNull('revoked_at')->with('calendarAddress')->latest()->limit(20)->get();
        $open = $patient->accessLinks()->whereNull('used_at')->where('expires_at', '>', now())->latest('created_at')->first();

        return Inertia::render('Access', [
            'patient' => PatientHead::of($patient, now()),
            'public_address' => config()->string('app.url'),
            'new_link' => $request->session()->get('new_link'),
            'open_link' => $open === null ? null : [
                'made_on' => $open->created_at->setTimezone($zone)->format('j M H:i'),
                'expires_on' => $open->expires_at->setTimezone($zone)->format('j M H:i'),
            ],
            'mail_to' => $patient->email(),
            'kept_aside' => KeptAsides::of($patient),
            'consents' => Consent::query()->where('patient_id', $patient->id)->with('practitioner')->latest('given_at')->latest('id')
                ->limit(20)->get()
                ->map(fn (Consent $consent) => [
                    'kind' => $consent->kind,
                    'about' => $consent->about === TracesAgreed::ABOUT ? 'traces of recordings' : 'practice',
                    'version' => $consent->version,
                    'on' => $consent->given_at->setTimezone($zone)->format('j M Y H:i'),
                    'by' => $consent->practitioner?->name,
                ]),
            'devices' => $devices->map(fn (Device $device) => [
                'id' => $device->id,
                'label' => $device->label,
                'since' => $device->created_at->setTimezone($zone)->format('j M Y'),
                'last_seen' => $device->last_seen_at?->setTimezone($zone)->format('j M H:i'),
                'ready' => $device->pin !== null,
                'locked_out' => $device->isLockedOut(),
                'calendar_since' => $device->calendarAddress?->made_at->setTimezone($zone)->format('j M Y'),
            ]),
        ]);
    }

    public function store(
        Request $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        MakeAccessLink $make,
        SendAccessLink $send,
    ): RedirectResponse|JsonResponse {
        $link = $make($patient, $practitioner);
        $address = rtrim(config()->string('app.url'), '/')."/enter#{$link['token']}";

        $shown = ['address' => $address, 'code' => $link['code'], 'days' => MakeAccessLink::DAYS,
            'sent_to' => $request->boolean('send') ? $send($patient, $address) : null];

        return $request->wantsJson()
            ? response()->json($shown, 201)
            : redirect("/patients/{$patient->id}/access")->with('new_link', $shown);
    }

    public function withdraw(Patient $patient, #[CurrentUser] Practitioner $practitioner, WithdrawConsent $withdraw): RedirectResponse
    {
        $withdraw($patient, $practitioner);

        return redirect("/patients/{$patient->id}/access")->with(
            'flash', 'Withdrawal recorded; nothing more is recorded from the patient’s devices.',
        );
    }

    public function destroy(Patient $patient, Device $device): RedirectResponse
    {
        abort_unless($device->patient_id === $patient->id, 404);
        $device->update(['revoked_at' => now()]);

        return redirect("/patients/{$patient->id}/access")->with('flash', 'The device is signed out.');
    }
}
