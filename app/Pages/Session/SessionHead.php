<?php

declare(strict_types=1);

namespace App\Pages\Session;

use App\Models\CareSession;
use App\Models\SessionStep;
use IvoryPace\Session\Step;

/** The line of steps that heads every page of a session, and what is kept in one of them. */
final class SessionHead
{
    /** @return array<string, mixed> */
    public static function of(CareSession $session, Step $here): array
    {
        $zone = $session->patient->clinic->time_zone;

        return [
            'id' => $session->id, 'number' => $session->number, 'step' => $here->value,
            'begun_on' => $session->begun_at->setTimezone($zone)->format('j M Y H:i'), 'by' => $session->practitioner->name,
            'begun_at' => $session->begun_at->toIso8601ZuluString(),
            'closed_on' => $session->closed_at?->setTimezone($zone)->format('j M Y H:i'),
            'steps' => array_map(fn (Step $step) => [
                'key' => $step->value, 'label' => $step->label(),
                'has' => $session->steps->contains(
                    fn (SessionStep $kept) => $kept->step === $step->value && array_filter($kept->content) !== [],
                ),
            ], Step::cases()),
        ];
    }

    /** @return array{revision: int, content: object, by: string|null} */
    public static function kept(CareSession $session, Step $step): array
    {
        $kept = $session->steps->firstWhere('step', $step->value);

        return ['revision' => $kept->revision ?? 0, 'content' => (object) ($kept->content ?? []), 'by' => $kept?->practitioner->name];
    }
}
