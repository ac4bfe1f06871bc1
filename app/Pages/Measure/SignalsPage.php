<?php

declare(strict_types=1);

namespace App\Pages\Measure;

use App\Facts\PatientFactsOf;
use App\Language\RecordingWords;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Recording;
use App\Models\RecordingKind;
use App\Models\RecordingSensor;
use App\Models\Sensor;
use App\Pages\Shared\PatientHead;
use App\Pages\Shared\ToTry;
use App\Signals\Keepable;
use App\Signals\Live;
use App\Signals\TracesAgreed;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Taken;
use IvoryPace\Numbers;
use IvoryPace\Safety\Finding;
use IvoryPace\Session\PaceComparison;
use IvoryPace\Signal\BestPace;
use IvoryPace\Signal\Reading\Reading;
use IvoryPace\Signal\Reading\Together;
use IvoryPace\Signal\SaturationFall;

/** A patient measured with devices of the room: the devices, what can be recorded, and what was. */
final class SignalsPage
{
    private const MOST = 30;

    private const MANY_OUTSIDE = 250;

    /** @return array<string, mixed> */
    public static function of(Patient $patient, CarbonImmutable $now): array
    {
        return [
            'patient' => PatientHead::of($patient, $now),
            'desk' => MeasureDesk::of($patient),
            'sensors' => self::sensors($patient, $now),
            'agreed' => TracesAgreed::by($patient),
            'agreement' => TracesAgreed::text($patient),
            'paces' => self::paces($patient, $now),
            'choices' => ToTry::of($patient),
            'seconds' => ['calibration' => Together::CALIBRATION_S, 'quiet' => Reading::QUIET_S, 'after_hold' => SaturationFall::ALL_S],
            ...self::recordings($patient, $now),
        ];
    }

    /** @return array{open: array<string, mixed>|null, recordings: list<array<string, mixed>>} newest first */
    public static function recordings(Patient $patient, CarbonImmutable $now): array
    {
        $recordings = Recording::query()->where('patient_id', $patient->id)->whereNull('set_aside_at')->orderByDesc('started_at')
            ->orderByDesc('id')->limit(self::MOST)->get()->each->setRelation('patient', $patient);
        $open = $recordings->first(fn (Recording $recording) => $recording->isOpen($now));
        $kept = self::kept($patient, $recordings->min('started_at'));
        $outside = self::outside($recordings->modelKeys());

        return [
            'open' => $open === null ? null : [
                ...self::line($open, $patient, $kept, $outside), 'began_ms_ago' => (int) round($open->started_at->diffInMilliseconds($now)),
            ],
            'recordings' => array_values($recordings->filter(fn (Recording $recording) => ! $recording->isOpen($now))
                ->map(fn (Recording $recording) => self::line($recording, $patient, $kept, $outside))->all()),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function sensors(Patient $patient, CarbonImmutable $now): array
    {
        return array_values(Sensor::pairedIn($patient->clinic_id)->orderBy('id')->get()->map(fn (Sensor $sensor) => [
            'id' => $sensor->id, 'name' => $sensor->name, 'here' => Live::isHere($sensor, $now),
            'seen' => $sensor->last_seen_at?->setTimezone($patient->clinic->time_zone)->format('j M H:i'),
        ])->all());
    }

    /**
     * @param  array<string, list<string>>  $kept
     * @param  array<int, int>  $outside
     * @return array<string, mixed>
     */
    private static function line(Recording $recording, Patient $patient, array $kept, array $outside): array
    {
        $zone = $patient->clinic->time_zone;

        return [
            'uuid' => $recording->uuid, 'kind' => $recording->kind->value, 'label' => $recording->kind->label(),
            'on' => $recording->started_at->setTimezone($zone)->format('j M Y, H:i'),
            'about' => $recording->about,
            'position' => $recording->position,
            'lines' => [...RecordingWords::of($recording), ...self::tooShort($recording)],
            'paces' => $recording->kind === RecordingKind::Pace ? $recording->details['heart']['paces'] ?? [] : [],
            'inked' => $recording->details['inked'] ?? null,
            'has_samples' => $recording->samples_until !== null,
            'samples' => self::samples($recording, $zone),
            'outside' => $outside[$recording->id] ?? 0,
            'keep' => array_map(fn (string $measure, Taken $taken) => [
                'measure' => $measure, 'label' => Measure::from($measure)->label(),
                'value' => Numbers::print($taken->value, 1).' '.Measure::from($measure)->unit(),
                'kept' => in_array($measure, $kept[$recording->uuid] ?? [], true),
            ], array_keys($all = Keepable::of($recording)), array_values($all)),
        ];
    }

    private static function samples(Recording $recording, string $zone): string
    {
        return match (true) {
            $recording->samples_until === null => $recording->read_at === null ? '' : 'Samples removed',
            default => 'Samples until '.$recording->samples_until->setTimezone($zone)->format('j M, H:i'),
        };
    }

    /**
     * Samples that came and did not belong to it: a device that measures on for a second is no matter.
     *
     * @param  array<mixed>  $ids
     * @return array<int, int> by recording
     */
    private static function outside(array $ids): array
    {
        return RecordingSensor::query()->toBase()->whereIn('recording_id', $ids)->groupBy('recording_id')
            ->selectRaw('recording_id, sum(outside) as n')->havingRaw('sum(outside) >= ?', [self::MANY_OUTSIDE])
            ->pluck('n', 'recording_id')->map(fn (mixed $n) => (int) $n)->all();
    }

    /** @return array<string, list<string>> measures whose value was kept, by recording */
    private static function kept(Patient $patient, ?CarbonImmutable $since): array
    {
        $kept = [];
        foreach ($since === null ? [] : Measurement::query()->where('patient_id', $patient->id)->where('measured_at', '>=', $since)
            ->whereNotNull('details->recording')->orderByDesc('measured_at')->limit(200)->get() as $each) {
            $kept[(string) ($each->details['recording'] ?? '')][] = $each->measure->value;
        }

        return $kept;
    }

    /** @return array{possible: bool, paces: list<float>, left_out: list<array{pace: float, why: string}>, minutes: int} */
    private static function paces(Patient $patient, CarbonImmutable $now): array
    {
        $comparison = self::comparison($patient, $now);

        return [
            'possible' => $comparison->isPossible(), 'paces' => $comparison->paces,
            'left_out' => array_map(
                fn (array $each) => ['pace' => $each[0], 'why' => self::why($each[1])], $comparison->leftOut,
            ),
            'minutes' => (int) ceil(count($comparison->paces) * BestPace::EACH_S / 60),
        ];
    }

    /** @return list<string> */
    private static function tooShort(Recording $recording): array
    {
        return $recording->kind !== RecordingKind::Quiet || $recording->rate === null || Keepable::isLongEnough($recording) ? []
            : ['Less than '.Reading::LEAST_QUIET_S.' s of it were quiet: too short for a resting rate.'];
    }

    /** Which paces this patient may be led through. */
    public static function comparison(Patient $patient, CarbonImmutable $now): PaceComparison
    {
        $patient->loadMissing('latestScreening.answers', 'activeProgramme.versions.items');

        return PaceComparison::for(PatientFactsOf::patient($patient, $now));
    }

    private static function why(Finding $finding): string
    {
        return "{$finding->title}: {$finding->message}";
    }
}
