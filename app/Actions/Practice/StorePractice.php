<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Facts\Sent;
use App\Guard\Nodes\Turn;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Models\Recording;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\Doubt;
use IvoryPace\Practice\Windows;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\SelfCheck;

/** Stores a practice once, and lets the pausing rules act on it. */
final class StorePractice
{
    private const LONGEST_S = 4 * 3600;

    public function __construct(private readonly PauseAfterStop $pause)
    {
    }

    /**
     * @param  array<string, mixed>  $log  as validated
     * @return array{Practice, bool} the practice, and whether it is new
     *
     * @throws ValidationException
     */
    public function __invoke(Device $device, array $log, Sent $sent): array
    {
        return DB::transaction(function () use ($device, $log, $sent) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($device->patient_id);
            Turn::take($patient->id);
            $known = Practice::withStruck()->firstWhere('uuid', $log['uuid']);
            if ($known !== null) {
                $this->refuse($known->patient_id !== $patient->id, 'uuid', (string) __('patient.log.someone-else'));

                return [$known, false];
            }
            [$version, $item] = $this->prescribed($patient, $log);
            $now = $sent->receivedAt;
            $started = $sent->corrected((string) $log['started_at']);
            $ended = $sent->corrected((string) $log['ended_at']);
            $this->checkTimes($started, $ended, $now, (int) $log['seconds_done']);

            $prescribed = $item->item();
            $short = ($log['short'] ?? false) ? $this->short($prescribed) : null;
            $timeline = $this->asFarAsWasEnough($short ?? $prescribed->timeline(), $log['enough_step'] ?? null);
            // A routine is measured by time: not all of its steps have counted breaths.
            $breathsPrescribed = $prescribed->routine === null ? $timeline->breaths() : 0;
            $secondsPrescribed = (int) round($timeline->exerciseMs() / 1000);
            if ($prescribed->isOpen() && ($log['enough'] ?? false) === true) {
                // As long as it helped was the whole.
                $secondsPrescribed = max(1, min($secondsPrescribed, (int) $log['seconds_done']));
            }
            $this->refuse(
                (int) $log['breaths_done'] > $timeline->breaths(), 'breaths_done',
                (string) __('patient.log.more-breaths', ['breaths' => $timeline->breaths()]),
            );

            $tempo = isset($log['tempo']) ? (float) $log['tempo'] : null;
            $limits = $prescribed->prescription->guidance->tempo;
            $this->refuse(
                $tempo !== null && abs($limits->within($tempo) - $tempo) > 1e-6, 'tempo', (string) __('patient.log.pace'),
            );

            $doubt = Doubt::of(
                $started, $ended, $patient->clock()->startsAt(PatientDay::of($version->in_force_from->format('Y-m-d'))),
                (int) $log['seconds_done'], $timeline->leastMsOf((int) $log['breaths_done']), max(1, $secondsPrescribed),
            );
            $practice = Practice::query()->create([
                'uuid' => $log['uuid'],
                'patient_id' => $patient->id,
                'programme_version_id' => $version->id,
                'device_id' => $device->id,
                'lineage' => $item->lineage,
                'anchor' => $log['anchor'] ?? null,
                'started_at' => $started,
                'ended_at' => $ended,
                'received_at' => $now,
                'clock_offset_s' => $sent->offset,
                'is_short' => $short !== null,
                'breaths_done' => $log['breaths_done'],
                'breaths_prescribed' => $breathsPrescribed,
                'seconds_done' => min((int) $log['seconds_done'], $secondsPrescribed),
                'seconds_prescribed' => $secondsPrescribed,
                'before' => $log['before'] ?? null,
                'after' => $log['after'] ?? null,
                'effort' => $log['effort'] ?? null,
                'smooth' => $log['smooth'] ?? null,
                'slight_symptom' => $log['slight_symptom'] ?? null,
                'open_ms' => $log['open_ms'] ?? null,
                'steps_done' => $prescribed->routine === null ? null : ($log['steps_done'] ?? null),
                'self_checks' => self::answered($prescribed, $log['self_checks'] ?? null, $log['pace_taps'] ?? null),
                'enough_step' => $log['enough_step'] ?? null,
                'tempo' => $tempo,
                'joined_ms' => $log['joined_ms'] ?? null,
                'recovered_after_s' => $prescribed->isRecovery() ? ($log['recovered_after_s'] ?? null) : null,
                'interruptions' => $log['interruptions'] ?? 0,
                'doubt' => $doubt,
                'remark' => $log['remark'] ?? null,
                'stop_class' => $log['stop_class'] ?? null,
                'stop_symptom' => $log['stop_symptom'] ?? null,
            ]);
            Recording::query()->where('uuid', $practice->uuid)->where('patient_id', $patient->id)->whereNull('practice_id')
                ->update(['practice_id' => $practice->id]);
            ($this->pause)($patient, $practice, $item);

            return [$practice, true];
        });
    }

    /**
     * @param  array<string, mixed>  $log
     * @return array{ProgrammeVersion, ProgrammeItem}
     */
    private function prescribed(Patient $patient, array $log): array
    {
        $version = ProgrammeVersion::query()->with('items')
            ->whereHas('programme', fn ($programme) => $programme->where('patient_id', $patient->id))
            ->whereKey($log['version_id'])->first();
        $item = $version?->items->firstWhere('lineage', $log['lineage']);
        if ($version === null || $item === null) {
            throw ValidationException::withMessages(['version_id' => __('patient.log.not-yours')]);
        }

        return [$version, $item];
    }

    /**
     * Only what was asked, and only with an answer that it has.
     *
     * @return array<string, string>|null
     */
    private static function answered(Item $item, mixed $given, mixed $taps): ?array
    {
        $given = [...(is_array($given) ? $given : []), SelfCheck::Pace->value => is_array($taps) ? self::pace($taps) : null];
        $answers = [];
        foreach ($item->checks as $check) {
            $answer = $given[$check->value] ?? null;
            if (is_string($answer) && $check->accepts($answer)) {
                $answers[$check->value] = $answer;
            }
        }

        return $answers === [] ? null : $answers;
    }

    /**
     * @param  array<array-key, mixed>  $taps  ms, before and after
     * @return string|null as {@see SelfCheck::paces()} reads it; null when nothing can be told from them
     */
    private static function pace(array $taps): ?string
    {
        $rate = fn (string $when): float => TappedRate::of(is_array($taps[$when] ?? null) ? $taps[$when] : [])->rate;
        try {
            return SelfCheck::writePaces($rate('before'), $rate('after'));
        } catch (InvalidValue) {
            return null;
        }
    }

    private function short(Item $item): Timeline
    {
        return $item->shortTimeline() ?? throw ValidationException::withMessages(['short' => __('patient.log.no-short')]);
    }

    /** Where breaths grow, the patient says what is enough, and that is then the whole. */
    private function asFarAsWasEnough(Timeline $timeline, mixed $step): Timeline
    {
        if (! is_numeric($step)) {
            return $timeline;
        }
        try {
            return $timeline->enoughAfter((int) $step);
        } catch (InvalidValue) {
            throw ValidationException::withMessages(['enough_step' => __('patient.log.no-growth')]);
        }
    }

    private function checkTimes(CarbonImmutable $started, CarbonImmutable $ended, CarbonImmutable $now, int $secondsDone): void
    {
        $this->refuse($ended < $started, 'ended_at', (string) __('patient.log.ends-before'));
        $this->refuse($ended > $now->addMinutes(5), 'ended_at', (string) __('patient.log.ends-ahead'));
        $this->refuse(
            $started < $now->subDays(Windows::WAITS_AT_MOST_DAYS), 'started_at',
            (string) __('patient.log.too-old', ['days' => Windows::WAITS_AT_MOST_DAYS]),
        );
        $length = $started->diffInSeconds($ended);
        $this->refuse($length > self::LONGEST_S, 'ended_at', (string) __('patient.log.too-long'));
        $this->refuse($secondsDone > $length + 5, 'seconds_done', (string) __('patient.log.too-many-seconds'));
    }

    private function refuse(bool $wrong, string $field, string $message): void
    {
        if ($wrong) {
            throw ValidationException::withMessages([$field => $message]);
        }
    }
}
