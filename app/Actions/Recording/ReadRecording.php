<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Models\Recording;
use App\Models\RecordingKind;
use App\Models\RecordingSensor;
use App\Signals\SamplesOf;
use App\Signals\TracesAgreed;
use Carbon\CarbonImmutable;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\Reading\HeartRead;
use IvoryPace\Signal\Reading\PlayedBreath;
use IvoryPace\Signal\Reading\Reading;
use IvoryPace\Signal\Reading\SamplesKept;
use IvoryPace\Signal\SaturationFall;

/**
 * Computes what a recording says and keeps its numbers. Its samples stay as long as the patient agrees to, or go at once; those of
 * devices that may send more stay until they have.
 */
final class ReadRecording
{
    private const NOTHING = [
        'prescribed' => null, 'seen' => null, 'followed' => null, 'lag_ms' => null, 'ratio_kept' => null, 'rate' => null,
        'details' => null,
    ];

    public function __construct(private readonly ForgetSamples $forget)
    {
    }

    public function __invoke(Recording $recording, CarbonImmutable $now): Recording
    {
        $recording->update([...self::said($recording), 'read_at' => $now]);
        $this->keep($recording, $now);

        return $recording;
    }

    /** Whether every device has sent all that it has. */
    public static function isWhole(Recording $recording): bool
    {
        return $recording->sensors()->get()->every(fn (RecordingSensor $of) => $of->parts !== null
            && $recording->samples()->where('sender', $of->sensor_id)->count() >= $of->parts);
    }

    /** @return array<string, mixed> columns */
    private static function said(Recording $recording): array
    {
        $played = PlayedBreath::list($recording->played ?? []);
        if ($recording->source === 'phone') {
            [$reading, $problem] = self::attempt(
                fn () => Reading::phone(SamplesOf::phone($recording), ($recording->inhale_ms ?? 0) / 1000, $played),
            );

            return [...self::breath($reading), 'problem' => $problem];
        }
        $values = SamplesOf::recording($recording);
        if ($values === []) {
            return [...self::NOTHING, 'problem' => 'Nothing arrived.'];
        }
        [$reading, $problem] = self::belts($recording, $values, $played);
        $heart = HeartRead::of($values, $played);
        $fall = self::fall($recording, $values['spo2'] ?? []);
        $said = self::breath($reading);
        $more = array_filter(['channels' => array_keys($values), 'heart' => $heart->isEmpty() ? null : $heart->details(), 'fall' => $fall]);

        return [
            ...$said, 'details' => [...($said['details'] ?? []), ...$more],
            'problem' => $heart->isEmpty() && $fall === null ? $problem : null,
        ];
    }

    /**
     * @param  array<string, list<array{float, float}>>  $values
     * @param  list<PlayedBreath>  $played
     * @return array{Reading|null, string|null}
     */
    private static function belts(Recording $recording, array $values, array $played): array
    {
        $calibration = $recording->marks['calibration'] ?? null;

        return self::attempt(fn () => Reading::belts(
            $values['belly'] ?? [], $values['chest'] ?? [], $played, is_numeric($calibration) ? (float) $calibration : null,
        ));
    }

    /**
     * @param  callable(): Reading  $read
     * @return array{Reading|null, string|null} or why there is none
     */
    private static function attempt(callable $read): array
    {
        try {
            $reading = $read();

            return $reading->isEmpty() ? [null, 'No breath could be seen in it.'] : [$reading, null];
        } catch (InvalidValue $problem) {
            return [null, mb_substr($problem->getMessage(), 0, 200)];
        }
    }

    /** @return array<string, mixed> columns */
    private static function breath(?Reading $reading): array
    {
        $following = $reading?->following;

        return $reading === null ? self::NOTHING : [
            'prescribed' => $following === null ? null : count($following->breaths),
            'seen' => $following?->seen(), 'followed' => $following?->followed(),
            'lag_ms' => $following?->lag === null ? null : (int) round(1000 * $following->lag),
            'ratio_kept' => $following?->ratioKept === null ? null : min(99.0, round($following->ratioKept, 2)),
            'rate' => $reading->rate === null ? null : round($reading->rate, 2), 'details' => $reading->details(),
        ];
    }

    /**
     * @param  list<array{float, float}>  $saturation
     * @return array{from: float, lowest: float, seconds: int, below: int, fell: bool, later: float|null,
     *     still_low: bool}|null
     */
    private static function fall(Recording $recording, array $saturation): ?array
    {
        $marks = $recording->marks ?? [];
        if (! isset($marks['hold_from'], $marks['hold_to'])) {
            return null;
        }
        $own = $recording->patient->own_low_saturation === null ? null : (float) $recording->patient->own_low_saturation;
        try {
            $fall = SaturationFall::of($saturation, (float) $marks['hold_from'], (float) $marks['hold_to'], $own);
        } catch (InvalidValue) {
            return null;
        }

        return [
            'from' => $fall->before, 'lowest' => $fall->lowest, 'seconds' => $fall->fellS, 'below' => $fall->belowS, 'fell' => $fall->fell,
            'later' => $fall->later, 'still_low' => $fall->isStillLow,
        ];
    }

    private function keep(Recording $recording, CarbonImmutable $now): void
    {
        $isPractice = $recording->kind === RecordingKind::Practice;
        if (TracesAgreed::by($recording->patient) === true) {
            $recording->update(['samples_until' => $recording->started_at->addDays(SamplesKept::DAYS)]);
        } elseif ($isPractice || self::isWhole($recording) || $now >= $recording->endsAt()->addHours(SamplesKept::LATE_HOURS)) {
            ($this->forget)([$recording->id], $now);
        } else {
            $recording->update(['samples_until' => $recording->endsAt()->addHours(SamplesKept::LATE_HOURS)]);
        }
    }
}
