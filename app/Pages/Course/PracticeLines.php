<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Models\Patient;
use App\Models\Practice;
use App\Models\Programme;
use Carbon\CarbonImmutable;

/** Practices of the Course in words. */
final class PracticeLines
{
    /** @var array<string, string> names by lineage, once they have been asked for */
    private array $names = [];

    /** A practice that arrives later than this is marked. */
    private const LATE_HOURS = 24;

    public function __construct(private readonly Programme $programme, private readonly Patient $patient)
    {
    }

    /** @return array<string, mixed> */
    public function stop(Practice $practice): array
    {
        return [
            'on' => $this->time($practice->started_at),
            'exercise' => $this->nameOf($practice->lineage),
            'class' => $practice->stop_class?->value,
            'symptom' => ($practice->stop_symptom?->label() ?? 'no symptom').match ($practice->secondLook?->settled) {
                true => ', settled',
                false => ', had not settled',
                null => '',
            },
            'got' => self::got($practice),
            'remark' => $practice->remark,
        ];
    }

    /** @return array<string, mixed> */
    public function practice(Practice $practice): array
    {
        return [
            'uuid' => $practice->uuid,
            'from_paper' => $practice->source === Practice::PAPER,
            'on' => $this->time($practice->started_at),
            'exercise' => $this->nameOf($practice->lineage),
            'version' => $this->programme->versions->firstWhere('id', $practice->programme_version_id)?->number,
            'anchor' => $practice->anchor?->label(),
            'got' => self::got($practice).$this->enough($practice).self::hums($practice).$this->steps($practice).self::pace($practice)
                .self::felt($practice).self::circumstances($practice),
            'before' => $practice->before,
            'after' => $practice->after,
            'effort' => $practice->effort,
            'smooth' => $practice->smooth,
            'slight_symptom' => $practice->slight_symptom,
            'symptom' => $practice->stop_symptom?->label(),
            'remark' => $practice->remark,
        ];
    }

    public function nameOf(string $lineage): string
    {
        return $this->names[$lineage] ??= $this->findName($lineage);
    }

    private function findName(string $lineage): string
    {
        foreach ($this->programme->versions->reverse() as $version) {
            $item = $version->items->firstWhere('lineage', $lineage);
            if ($item !== null) {
                return $item->item()->name();
            }
        }

        return 'Exercise';
    }

    public function time(CarbonImmutable $instant): string
    {
        return $instant->setTimezone($this->patient->time_zone)->format('D j M H:i');
    }

    /** The pace that the patient chose, when it was another than prescribed. */
    private static function pace(Practice $practice): string
    {
        return $practice->tempo === null ? '' : sprintf(', breaths %d %% as long', round($practice->tempo * 100));
    }

    /** What the phone measured of it. */
    private static function felt(Practice $practice): string
    {
        $felt = $practice->recording;
        $late = $felt?->lag_ms === null ? '' : sprintf(' %.1f s %s', abs($felt->lag_ms) / 1000, $felt->lag_ms < 0 ? 'early' : 'late');

        return $felt?->share() === null ? '' : ", followed {$felt->followed} of {$felt->seen}$late, by the phone";
    }

    /** What else was different about it. */
    private static function circumstances(Practice $practice): string
    {
        return ($practice->doubt === null ? '' : ", not counted: {$practice->doubt->label()}")
            .($practice->is_short ? ', short version' : '')
            .($practice->joined_ms === null ? '' : sprintf(', from %.1f s a breath', $practice->joined_ms / 1000))
            .(
                $practice->recovered_after_s === null
                    ? ''
                    : sprintf(
                        ', breath back after %d:%02d min', intdiv($practice->recovered_after_s, 60), $practice->recovered_after_s % 60,
                    )
            )
            .($practice->source === Practice::PAPER ? ', from paper' : '')
            .(
                $practice->source === Practice::PAPER || $practice->ended_at->diffInHours($practice->received_at) < self::LATE_HOURS
                    ? ''
                    : ', sent '.(int) ceil($practice->ended_at->diffInDays($practice->received_at)).' days later'
            )
            .(
                $practice->interruptions === 0
                    ? ''
                    : ($practice->interruptions === 1 ? ', interrupted once' : ", interrupted {$practice->interruptions} times")
            );
    }

    /** The longest open exhale, when there were any. */
    private static function hums(Practice $practice): string
    {
        return $practice->open_ms === null || $practice->open_ms === [] ? '' : sprintf(', longest %.1f s', max($practice->open_ms) / 1000);
    }

    /** The length that the patient said is enough, where breaths grow step by step. */
    private function enough(Practice $practice): string
    {
        $cycle = $practice->enough_step === null ? null
            : (
                $this->programme->versions->firstWhere('id', $practice->programme_version_id)?->items
                    ->firstWhere('lineage', $practice->lineage)?->item()->prescription->cycles()[$practice->enough_step - 1] ?? null
            );

        return $cycle === null ? '' : ", enough at {$cycle->pattern->toDisplayString()}";
    }

    /** How far the steps of a routine got that were not done to their end, and in which one it was stopped. */
    private function steps(Practice $practice): string
    {
        $routine = $this->programme->versions->firstWhere('id', $practice->programme_version_id)?->items
            ->firstWhere('lineage', $practice->lineage)?->item()->routine;
        $done = $practice->steps_done ?? [];
        if ($routine === null || $done === []) {
            return '';
        }
        $last = $done[count($done) - 1];
        $name = $routine->steps[$last['step'] - 1]->label();
        $got = implode(', ', array_map(
            fn (array $step) => "{$step['step']}: ".($step['breaths'] > 0 ? "{$step['breaths']} breaths" : "{$step['seconds']} s"), $done,
        ));

        return ", steps $got".($practice->stop_class === null ? '' : ", stopped in step {$last['step']}, $name");
    }

    private static function got(Practice $practice): string
    {
        if ($practice->breaths_prescribed > 0) {
            return "{$practice->breaths_done} of {$practice->breaths_prescribed} breaths";
        }

        return sprintf('%d:%02d of %d:%02d min', intdiv($practice->seconds_done, 60), $practice->seconds_done % 60,
            intdiv($practice->seconds_prescribed, 60), $practice->seconds_prescribed % 60);
    }
}
