<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Models\Recording;
use App\Signals\SamplesOf;
use App\Signals\TracesAgreed;
use Carbon\CarbonImmutable;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\Reading\PlayedBreath;
use IvoryPace\Signal\Reading\Reading;
use IvoryPace\Signal\Reading\SamplesKept;

/**
 * Computes what a recording says and keeps its numbers. Its samples stay as long as the patient agrees to, or go at once; those of a
 * device that may send more stay until it has.
 */
final class ReadRecording
{
    public function __construct(private readonly ForgetSamples $forget)
    {
    }

    public function __invoke(Recording $recording, CarbonImmutable $now): Recording
    {
        try {
            $reading = self::read($recording);
            $said = $reading->isEmpty() ? self::nothing('No breath could be seen in it.') : [
                'prescribed' => $reading->following === null ? null : count($reading->following->breaths),
                'seen' => $reading->following?->seen(), 'followed' => $reading->following?->followed(),
                'lag_ms' => $reading->following?->lag === null ? null : (int) round(1000 * $reading->following->lag),
                'ratio_kept' => $reading->following?->ratioKept === null ? null : min(99.0, round($reading->following->ratioKept, 2)),
                'rate' => $reading->rate === null ? null : round($reading->rate, 2), 'details' => $reading->details(), 'problem' => null,
            ];
        } catch (InvalidValue $problem) {
            $said = self::nothing($problem->getMessage());
        }
        $recording->update([...$said, 'read_at' => $now]);
        $this->keep($recording, $now);

        return $recording;
    }

    private static function read(Recording $recording): Reading
    {
        $played = PlayedBreath::list($recording->played ?? []);
        if ($recording->source === 'phone') {
            return Reading::phone(SamplesOf::phone($recording), ($recording->inhale_ms ?? 0) / 1000, $played);
        }
        $values = SamplesOf::recording($recording);
        $calibration = $recording->marks['calibration'] ?? null;

        return Reading::belts(
            $values['belly'] ?? [], $values['chest'] ?? [], $played, is_numeric($calibration) ? (float) $calibration : null,
        );
    }

    /** @return array<string, mixed> */
    private static function nothing(string $why): array
    {
        return [
            'prescribed' => null, 'seen' => null, 'followed' => null, 'lag_ms' => null, 'ratio_kept' => null, 'rate' => null,
            'details' => null, 'problem' => mb_substr($why, 0, 200),
        ];
    }

    private function keep(Recording $recording, CarbonImmutable $now): void
    {
        if (TracesAgreed::by($recording->patient) === true) {
            $recording->update(['samples_until' => $recording->started_at->addDays(SamplesKept::DAYS)]);
        } else {
            ($this->forget)([$recording->id], $now);
        }
    }
}
