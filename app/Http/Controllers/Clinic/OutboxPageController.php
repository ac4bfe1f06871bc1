<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Models\OutgoingMail;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Inertia;
use Inertia\Response;

/** Messages as they would have been sent, while no mail server is configured. */
final class OutboxPageController
{
    private const MOST = 100;

    public function __invoke(#[CurrentUser] Practitioner $lead): Response
    {
        $zone = $lead->clinic->time_zone;

        return Inertia::render('Outbox', [
            'stands_in' => config('mail.default') === 'outbox',
            'mails' => OutgoingMail::query()->where('clinic_id', $lead->clinic_id)->latest('at')->latest('id')->limit(self::MOST)->get()
                ->map(fn (OutgoingMail $mail) => [
                    'id' => $mail->id, 'to' => $mail->to, 'subject' => $mail->subject, 'text' => $mail->text,
                    'at' => $mail->at->setTimezone($zone)->format('j M Y H:i'),
                ]),
        ]);
    }
}
