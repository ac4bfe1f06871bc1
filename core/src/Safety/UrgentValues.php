<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Assessment\EarlyWarning;
use IvoryPace\Assessment\Measure;
use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;
use IvoryPace\Numbers;

/**
 * What measured values ask for before any breathing programme goes on: red flags, advice, an explanation. Only values
 * taken at rest by a practitioner or a paired device in one session count, never one read during a hold.
 */
final readonly class UrgentValues
{
    private const ADULT = 16;

    private const HIGH_SYSTOLIC = 180;

    private const HIGH_DIASTOLIC = 120;

    /** Obstetric early-warning charts (from memory): in pregnancy and for six weeks after a birth. */
    private const OBSTETRIC = [
        'resting-rate' => [10, 24], 'saturation' => [95, 100], 'pulse' => [41, 119], 'systolic' => [91, 159], 'diastolic' => [0, 109],
    ];

    private const MATERNITY_SYSTOLIC = 140;

    private const MATERNITY_DIASTOLIC = 90;

    /** Shares of the personal best of peak flow. */
    private const LOW_FLOW = 0.5;

    private const REDUCED_FLOW = 0.75;

    /**
     * @param  list<array{RedFlag, string}>  $redFlags  with the values behind them
     * @param  list<array{RedFlag, string}>  $advice  that pauses nothing; issuing waits until what was arranged is recorded
     * @param  list<string>  $notes  for the practitioner
     * @param  int|null  $sum  points together; null where they are not used
     */
    private function __construct(public array $redFlags, public array $advice, public array $notes, public ?int $sum)
    {
    }

    /**
     * @param  array<string, float>  $values  taken at rest in one session, by measure
     * @param  float|null  $ownLow  lower end of the patient's own recorded saturation range, %
     * @param  float|null  $bestFlow  personal best of peak flow, l/min
     */
    public static function of(array $values, PatientFacts $patient, ?float $ownLow = null, ?float $bestFlow = null): self
    {
        [$flow, $flowNotes] = self::flow($values, $bestFlow);
        $isChild = $patient->age !== null && $patient->age < self::ADULT;
        $isObstetric = $patient->has(Flag::Pregnancy) || $patient->has(Flag::RecentBirth);
        [$redFlags, $advice, $notes, $sum] = match (true) {
            $isChild => self::child($values, $ownLow),
            $isObstetric => self::obstetric($values, $ownLow),
            default => self::adult($values, $ownLow),
        };

        return new self([...$redFlags, ...$flow], $advice, [...$notes, ...$flowNotes], $sum);
    }

    public function isSilent(): bool
    {
        return $this->redFlags === [] && $this->advice === [];
    }

    /**
     * @param  array<string, float>  $values
     * @return array{list<array{RedFlag, string}>, list<array{RedFlag, string}>, list<string>, int|null}
     */
    private static function adult(array $values, ?float $ownLow): array
    {
        $redFlags = [];
        $sum = 0;
        $taken = [];
        foreach (self::RED_FLAGS as $name => $flag) {
            if (! isset($values[$name])) {
                continue;
            }
            $measure = Measure::from($name);
            $points = $measure === Measure::Saturation && $ownLow !== null
                ? EarlyWarning::pointsOfOwnRange($values[$name], $ownLow) : (int) EarlyWarning::points($measure, $values[$name]);
            $sum += $points;
            $taken[] = self::said($measure, $values[$name])." ($points)";
            if ($points >= EarlyWarning::SINGLE) {
                $redFlags[] = [$flag, self::said($measure, $values[$name])];
            }
        }
        if ($sum >= EarlyWarning::SUM && $redFlags === []) {
            $redFlags[] = [RedFlag::EarlyWarning, "$sum points together: ".implode(', ', $taken)];
        }
        $isHigh = (
            isset($values['systolic']) && EarlyWarning::whole($values['systolic']) >= self::HIGH_SYSTOLIC && EarlyWarning::points(
                Measure::Systolic, $values['systolic'],
            ) < EarlyWarning::SINGLE
        )
            || (isset($values['diastolic']) && EarlyWarning::whole($values['diastolic']) >= self::HIGH_DIASTOLIC);

        return [$redFlags, $isHigh ? [[RedFlag::SameDayAdvice, self::pressure($values)]] : [], [], $taken === [] ? null : $sum];
    }

    /**
     * @param  array<string, float>  $values
     * @return array{list<array{RedFlag, string}>, list<array{RedFlag, string}>, list<string>, null}
     */
    private static function obstetric(array $values, ?float $ownLow): array
    {
        $redFlags = [];
        foreach (self::OBSTETRIC as $name => [$least, $most]) {
            if (! isset($values[$name])) {
                continue;
            }
            $measure = Measure::from($name);
            $value = EarlyWarning::whole($values[$name]);
            $isRed = $measure === Measure::Saturation && $ownLow !== null
                ? EarlyWarning::pointsOfOwnRange($values[$name], $ownLow) > 0
                : $value < $least || $value > $most;
            if ($isRed) {
                $redFlags[] = [self::RED_FLAGS[$name] ?? RedFlag::DiastolicPressure, self::said($measure, $values[$name])];
            }
        }
        $ofPressure = array_filter(
            $redFlags, fn (array $each) => in_array($each[0], [RedFlag::SystolicPressure, RedFlag::DiastolicPressure], true),
        );
        $isRaised = (isset($values['systolic']) && EarlyWarning::whole($values['systolic']) >= self::MATERNITY_SYSTOLIC)
            || (isset($values['diastolic']) && EarlyWarning::whole($values['diastolic']) >= self::MATERNITY_DIASTOLIC);

        return [$redFlags, $isRaised && $ofPressure === [] ? [[RedFlag::MaternityAdvice, self::pressure($values)]] : [], [], null];
    }

    /**
     * Adult limits are not used; a low saturation is red at any age.
     *
     * @param  array<string, float>  $values
     * @return array{list<array{RedFlag, string}>, list<array{RedFlag, string}>, list<string>, null}
     */
    private static function child(array $values, ?float $ownLow): array
    {
        $saturation = $values['saturation'] ?? null;
        $isLow = $saturation !== null
            && (
                $ownLow !== null
                    ? EarlyWarning::pointsOfOwnRange($saturation, $ownLow)
                    : EarlyWarning::points(Measure::Saturation, $saturation)
            ) === EarlyWarning::SINGLE;
        $hasOthers = array_intersect_key($values, ['resting-rate' => 0, 'pulse' => 0, 'systolic' => 0, 'diastolic' => 0]) !== [];

        return [
            $isLow ? [[RedFlag::Saturation, self::said(Measure::Saturation, $saturation)]] : [], [], $hasOthers ? [self::PAEDIATRIC] : [],
            null,
        ];
    }

    /** What is said of values of someone under 16; keeping them takes a reason to go on. */
    public const PAEDIATRIC = 'Under 16 the limits for adults do not hold: use your paediatric chart.';

    private const RED_FLAGS = [
        'resting-rate' => RedFlag::RestingRate, 'saturation' => RedFlag::Saturation, 'pulse' => RedFlag::Pulse,
        'systolic' => RedFlag::SystolicPressure,
    ];

    /**
     * @param  array<string, float>  $values
     * @return array{list<array{RedFlag, string}>, list<string>}
     */
    private static function flow(array $values, ?float $best): array
    {
        $flow = $values['peak-flow'] ?? null;
        if ($flow === null) {
            return [[], []];
        }
        if ($best === null || $best <= 0) {
            return [[], ['No personal best of peak flow is recorded, so nothing is said of this one.']];
        }
        $share = $flow / $best;
        $text = 'peak flow of '.Numbers::print($flow).' l/min, '.round(100 * $share).' % of the personal best of '.Numbers::print($best);

        return match (true) {
            $share < self::LOW_FLOW - 1e-9 => [[[RedFlag::PeakFlow, $text]], []],
            $share <= self::REDUCED_FLOW + 1e-9 => [[], ['Reduced: '.$text.'.']],
            default => [[], []],
        };
    }

    private static function said(Measure $measure, float $value): string
    {
        return lcfirst($measure->label()).' of '.Numbers::print($value, 1).' '.$measure->unit();
    }

    /** @param  array<string, float>  $values */
    private static function pressure(array $values): string
    {
        return implode(
            ', ',
            array_map(
                fn (Measure $measure) => self::said($measure, $values[$measure->value]),
                array_filter([Measure::Systolic, Measure::Diastolic], fn (Measure $measure) => isset($values[$measure->value])),
            ),
        );
    }
}
