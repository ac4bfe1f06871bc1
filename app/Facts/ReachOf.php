<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\Measure;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Ladder\HomeCeiling;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Numbers;
use IvoryPace\Safety\PatientFacts;
use stdClass;

/** How far a patient may be led by ladders and proposals, with when what limits it was measured. */
final readonly class ReachOf
{
    private const OF = [
        'inhale' => 'the comfortable inhale', 'hold' => 'the comfortable hold', 'exhale' => 'the comfortable exhale',
        'ceiling' => 'the comfort ceiling',
    ];

    /** @param  array<string, stdClass>  $measured  latest of each, by measure: value, at */
    private function __construct(public Reach $reach, private array $measured, private CarbonImmutable $now)
    {
    }

    /** Of one patient of whom everything else is known: asked at every key press on the Bench. */
    public static function reach(Patient $patient, PatientFacts $facts, CarbonImmutable $now): Reach
    {
        $enough = Practice::query()->toBase()->where('patient_id', $patient->id)
            ->where('started_at', '>=', $now->subDays(HomeCeiling::DAYS))->whereNotNull('enough_step')->whereNull('doubt')
            ->orderByDesc('started_at')->limit(HomeCeiling::LATEST)->get(['programme_version_id', 'lineage', 'enough_step', 'tempo'])
            ->all();

        return new Reach(
            $facts->limits,
            HomeCeiling::with($facts->ceiling, $enough === [] ? [] : self::home($patient->activeProgramme, array_values($enough))),
        );
    }

    /** Of a file that has been loaded, perhaps with many others. */
    public static function on(OnFile $file): self
    {
        return self::of($file->measured, self::home($file->programme, $file->enough), $file->now);
    }

    /**
     * @param  array<string, stdClass>  $measured
     * @param  list<float>  $home  s, latest first
     */
    private static function of(array $measured, array $home, CarbonImmutable $now): self
    {
        $value = fn (Measure $measure): ?float => isset($measured[$measure->value]) ? (float) $measured[$measure->value]->value : null;

        return new self(new Reach(
            new ComfortableLimits($value(Measure::Inhale), $value(Measure::Hold), $value(Measure::Exhale)),
            HomeCeiling::with($value(Measure::Ceiling), $home),
        ), $measured, $now);
    }

    /**
     * What keeps an exercise from its next rung, in words; and for how many days it is known.
     *
     * @param  list<string>  $passed  as {@see Reach::passed()}
     * @return array{string, int|null} days are null where it was never measured in the room
     */
    public function inWords(array $passed): array
    {
        $oldest = null;
        foreach ($passed as $name) {
            $row = $this->measured[$name] ?? null;
            $days = $row === null ? null : (int) CarbonImmutable::parse((string) $row->at, 'UTC')->diffInDays($this->now);
            if ($oldest === null || ($days ?? PHP_INT_MAX) > ($oldest[1] ?? PHP_INT_MAX)) {
                $seconds = $name === 'ceiling' ? $this->reach->ceiling : (float) ($row->value ?? 0);
                $oldest = [self::OF[$name].' of '.Numbers::print((float) $seconds).' s', $days];
            }
        }

        return $oldest ?? ['', null];
    }

    /**
     * @param  list<stdClass>  $enough  practices in which the patient said that it is long enough, latest first
     * @return list<float> seconds of the inhale that was enough
     */
    private static function home(?Programme $programme, array $enough): array
    {
        $seconds = [];
        foreach ($enough as $practice) {
            /** @var ProgrammeVersion|null $version */
            $version = $programme?->versions->firstWhere('id', (int) $practice->programme_version_id);
            /** @var ProgrammeItem|null $row */
            $row = $version?->items->firstWhere('lineage', (string) $practice->lineage);
            $cycle = $row?->item()->prescription->cycles()[(int) $practice->enough_step - 1] ?? null;
            if ($cycle !== null) {
                $seconds[] = $cycle->inhaleSeconds() * (float) ($practice->tempo ?? 1);
            }
        }

        return $seconds;
    }
}
