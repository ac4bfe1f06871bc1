<?php

declare(strict_types=1);

namespace App\Pages\Measure;

use App\Facts\AskedForms;
use App\Facts\MeasureSheet;
use App\Models\Patient;
use App\Pages\Shared\ScreeningForm;
use IvoryPace\Assessment\EarlyWarning;
use IvoryPace\Assessment\Measure;
use IvoryPace\Exercise\Body\Position;

/** Everything that stands on the desk when a patient is measured. */
final class MeasureDesk
{
    /** @return array<string, mixed> */
    public static function of(Patient $patient): array
    {
        return [
            'measures' => MeasureSheet::of($patient),
            'questionnaires' => AskedForms::questionnaires($patient),
            'symptoms_asked' => AskedForms::symptomsAsked($patient),
            'own_low_saturation' => $patient->own_low_saturation,
            'low_saturation' => (EarlyWarning::range(Measure::Saturation)[0] ?? 0) - 1,
            'exercises' => ScreeningForm::exercises($patient),
            'red_flags' => ScreeningForm::redFlags($patient),
            'has_device' => $patient->devices()->whereNull('revoked_at')->exists(),
            'positions' => array_map(
                fn (Position $position) => ['value' => $position->value, 'label' => $position->label()], Position::cases(),
            ),
        ];
    }
}
