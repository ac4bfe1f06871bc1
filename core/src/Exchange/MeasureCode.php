<?php

declare(strict_types=1);

namespace IvoryPace\Exchange;

use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Questionnaire;

/**
 * How a measure is called where records are exchanged: LOINC for what it is, UCUM for its unit. A code stands here only where
 * it is certain (LOINC 9279-1, 8867-4, 2708-6, 59408-5, 8480-6 and 8462-4 are those of the vital signs of HL7 FHIR R4,
 * hl7.org/fhir/R4/observation-vitalsigns.html; 70274-6 and 69737-5 from memory of LOINC); everything else is told in words.
 */
final readonly class MeasureCode
{
    /**
     * @param  array<string, string>  $loinc  display by code
     * @param  string|null  $ucum  null where the number has no unit
     */
    private function __construct(public array $loinc, public ?string $ucum)
    {
    }

    public static function of(Measure $measure): self
    {
        return new self(match ($measure) {
            Measure::RestingRate => ['9279-1' => 'Respiratory rate'],
            Measure::Pulse => ['8867-4' => 'Heart rate'],
            Measure::Saturation => [
                '2708-6' => 'Oxygen saturation in Arterial blood', '59408-5' => 'Oxygen saturation in Arterial blood by Pulse oximetry',
            ],
            Measure::Systolic => ['8480-6' => 'Systolic blood pressure'],
            Measure::Diastolic => ['8462-4' => 'Diastolic blood pressure'],
            default => [],
        }, match ($measure) {
            Measure::RestingRate, Measure::Pulse => '/min',
            Measure::Inhale, Measure::Hold, Measure::Exhale, Measure::Ceiling => 's',
            Measure::HandCheck, Measure::HandCheckDeep, Measure::Saturation, Measure::SaturationFall => '%',
            Measure::RibExpansion, Measure::Girth => 'cm',
            Measure::RibFlare => 'deg',
            Measure::Systolic, Measure::Diastolic => 'mm[Hg]',
            Measure::PeakFlow, Measure::PeakFlowBest => 'L/min',
            Measure::Rhythm, Measure::Symptom => null,
        });
    }

    /** Of a whole questionnaire. */
    public static function ofQuestionnaire(string $key): self
    {
        return new self($key === Questionnaire::gad7()->key ? ['69737-5' => 'Generalized anxiety disorder 7 item (GAD-7)'] : [], null);
    }

    /** Of its score. */
    public static function ofScore(string $key): self
    {
        return new self(
            $key === Questionnaire::gad7()->key
                ? ['70274-6' => 'Generalized anxiety disorder 7 item (GAD-7) total score [Reported.PHQ]'] : [],
            '{score}',
        );
    }
}
