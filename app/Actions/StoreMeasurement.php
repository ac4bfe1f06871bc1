<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\BestOf;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\Exercise\Position;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;

/** Computes a value from what was tapped, tried or typed, and stores it with how it was measured. */
final class StoreMeasurement
{
    /**
     * @param  array<string, mixed>  $input  measure; taps, tries or value; position; sure
     *
     * @throws ValidationException with messages by field
     */
    public function __invoke(Patient $patient, Practitioner $by, array $input): Measurement
    {
        $fields = new Fields($input);
        $measure = $fields->attempt('measure', fn () => $fields->choice(Measure::class, 'measure'));
        $position = $fields->attempt('position', fn () => $fields->choice(Position::class, 'position'));
        [$value, $details, $method] = $measure === null ? [null, null, ''] : ($fields->attempt('value', fn () => self::value($measure, $fields)) ?? [null, null, '']);
        if ($measure === null || $position === null || $value === null) {
            throw ValidationException::withMessages($fields->errors());
        }
        if ($measure->isUnusual($value) && ! $fields->isTrue('sure')) {
            throw ValidationException::withMessages(['sure' => "{$measure->label()} of ".round($value, 1)." {$measure->unit()} is unusual. Sure?"]);
        }

        return Measurement::query()->create([
            'patient_id' => $patient->id, 'practitioner_id' => $by->id, 'measure' => $measure, 'value' => round($value, 3), 'details' => $details,
            'position' => $position, 'method' => $method, 'measured_at' => now(),
        ]);
    }

    /**
     * @return array{float, array<string, mixed>|null, string} value, details, method
     *
     * @throws InvalidValue
     */
    private static function value(Measure $measure, Fields $fields): array
    {
        if ($measure === Measure::RestingRate && $fields->list('taps') !== []) {
            $rate = TappedRate::of(array_values($fields->list('taps')));

            return [$measure->check($rate->rate), [
                'taps' => $rate->taps, 'median_s' => $rate->medianInterval, 'variation' => $rate->variation, 'cross_check' => $rate->crossCheck, 'doubtful' => $rate->doubtful,
            ], 'tapped'];
        }
        if ($measure->isLimit()) {
            [$min, $max] = $measure->possible();
            $tries = array_values(array_filter($fields->list('tries'), fn (mixed $try) => $try !== null && $try !== ''));
            $best = BestOf::of($tries, $min, $max, 'seconds');

            return [$best->best, ['tries' => $best->tries, 'spread' => $best->spread], 'best of '.count($best->tries)];
        }

        return [$measure->check($fields->number('value', $measure->unit())), null, 'typed'];
    }
}
