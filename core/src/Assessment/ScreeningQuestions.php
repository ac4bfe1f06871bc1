<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;

/** Which questions a screening asks, and whether they are all answered. */
final class ScreeningQuestions
{
    /** @return list<string> keys of all questions: "red.chest-pain", "flag.asthma" */
    public static function keys(): array
    {
        return [
            ...array_map(fn (RedFlag $flag) => self::redKey($flag), RedFlag::asked()),
            ...array_map(fn (Flag $flag) => self::flagKey($flag), Flag::asked()),
        ];
    }

    /** @return list<string> keys that a patient can answer alone: all but what has to be measured */
    public static function keysForPatients(): array
    {
        $measured = array_map(self::redKey(...), array_filter(RedFlag::asked(), fn (RedFlag $flag) => $flag->isMeasured()));

        return array_values(array_diff(self::keys(), $measured));
    }

    public static function redKey(RedFlag $flag): string
    {
        return "red.{$flag->value}";
    }

    public static function flagKey(Flag $flag): string
    {
        return "flag.{$flag->value}";
    }

    /**
     * @param  array<string, bool>  $answers  by key
     * @return list<string> keys without an answer
     */
    public static function unanswered(array $answers): array
    {
        return array_values(array_filter(self::keys(), fn (string $key) => ! array_key_exists($key, $answers)));
    }

    /**
     * What keeps a programme from being issued after a screening: a question that has come since is unanswered for
     * everybody who was screened before.
     *
     * @param  array<string, bool>  $answers  by key
     * @return string|null null when every question is answered
     */
    public static function obstacle(array $answers): ?string
    {
        $new = count(self::unanswered($answers));

        return match ($new) {
            0 => null,
            1 => 'One question is new since this screening. Answer it first.',
            default => "$new questions are new since this screening. Answer them first.",
        };
    }

    /** A red flag as the practitioner is asked for it; of a measured one the values come from the early-warning table. */
    public static function ofRedFlag(RedFlag $flag): string
    {
        return match ($flag) {
            RedFlag::ChestPain => 'Chest pain?',
            RedFlag::BreathlessAtRest => 'Breathless at rest, or waking breathless, and not yet investigated?',
            RedFlag::CoughingBlood => 'Coughing blood?',
            RedFlag::BlueLips => 'Blue lips?',
            RedFlag::Fainting => 'Fainting?',
            RedFlag::NewWheeze => 'A new wheeze, or signs on one side of the chest only?',
            RedFlag::WeightLossOrFever => 'Unexplained weight loss or fever?',
            RedFlag::CalfSwelling => 'A swollen calf together with breathlessness?',
            RedFlag::FastDeepBreathing => 'Fast deep breathing with thirst, vomiting or drowsiness?',
            RedFlag::HeadInjury => 'A head injury within 6 weeks?',
            RedFlag::Suicide => 'Thoughts of suicide?',
            RedFlag::RestingRate => self::outside(Measure::RestingRate, 'Resting rate %2$d or more, or %1$d or fewer, breaths a minute?'),
            RedFlag::Saturation => self::outside(
                Measure::Saturation, 'Oxygen saturation %1$d %% or less, or below the patient’s own normal range?',
            ),
            RedFlag::Pulse => self::outside(Measure::Pulse, 'Pulse %2$d or more, or %1$d or less?'),
            RedFlag::SystolicPressure => self::outside(Measure::Systolic, 'Systolic blood pressure %1$d or less, or %2$d or more?'),
            default => ucfirst($flag->label()).'?',
        };
    }

    /** @param  string  $text  with the value up to which, and from which, it is urgent */
    private static function outside(Measure $measure, string $text): string
    {
        [$least, $most] = EarlyWarning::range($measure) ?? [0, 0];

        return sprintf($text, $least - 1, $most + ($most === PHP_INT_MAX ? 0 : 1));
    }
}
