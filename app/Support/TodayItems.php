<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Prop;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\PauseRules;
use stdClass;

/** The exercises of a programme as the player needs them. */
final class TodayItems
{
    /** So many of the latest practices of an exercise are looked through. */
    private const LATEST = 10;

    /**
     * @param  list<ProgrammeVersion>  $versions
     * @return array<int, list<array<string, mixed>>> by version
     */
    public static function ofVersions(Patient $patient, array $versions, CarbonImmutable $now, bool $asNeededOnly = false): array
    {
        $pauses = $patient->pauses()->holding($now)->limit(20)->get();
        $lookedAt = $patient->pauses()->where('rule', '!=', PauseRules::NEW_FINDING)->whereNotNull('until_at')->orderByDesc('until_at')->limit(50)->get();
        $today = $patient->dayOf($now);
        $done = $patient->practices()->where('started_at', '>=', $patient->clock()->startsAt($today))->limit(200)->get(['lineage'])->countBy('lineage');
        $latest = self::latest($patient, $versions);
        $all = [];
        foreach ($versions as $version) {
            $rows = $version->items->filter(fn (ProgrammeItem $row) => ! $asNeededOnly || $row->item()->asNeeded !== null);
            $all[$version->id] ??= array_values($rows->map(fn (ProgrammeItem $row) => self::item(
                $row, $pauses, self::ends($latest->get($row->lineage, collect()), $row->lineage, $lookedAt), (int) ($done[$row->lineage] ?? 0),
            ))->all());
        }

        return $all;
    }

    /**
     * The latest practices of each exercise, in one query.
     *
     * @param  list<ProgrammeVersion>  $versions
     * @return Collection<string, Collection<int, stdClass>> by lineage, latest first
     */
    private static function latest(Patient $patient, array $versions): Collection
    {
        $lineages = collect($versions)->flatMap(fn (ProgrammeVersion $version) => $version->items->pluck('lineage'))->unique()->values();
        $ranked = $patient->practices()->toBase()->whereIn('lineage', $lineages)
            ->selectRaw('lineage, stop_class, received_at, row_number() over (partition by lineage order by started_at desc, id desc) as place');

        return DB::query()->fromSub($ranked, 'ranked')->where('place', '<=', self::LATEST)->orderBy('place')->get()
            ->groupBy(fn (stdClass $row) => (string) $row->lineage);
    }

    /**
     * How the last practices of an exercise ended since somebody looked, latest first: with them the device applies the
     * pausing rule by itself.
     *
     * @param  Collection<int, stdClass>  $latest  of the exercise, latest first
     * @param  Collection<int, Pause>  $lookedAt
     * @return list<string|null>
     */
    private static function ends(Collection $latest, string $lineage, Collection $lookedAt): array
    {
        $since = $lookedAt->first(fn (Pause $pause) => $pause->lineage === null || $pause->lineage === $lineage)?->until_at;
        $seen = $latest->filter(fn (stdClass $row) => $since === null || CarbonImmutable::parse($row->received_at, 'UTC') > $since);

        return array_values($seen->take(PauseRules::LOOK_AT - 1)->map(fn (stdClass $row) => $row->stop_class === null ? null : (string) $row->stop_class)->all());
    }

    /**
     * @param  Collection<int, Pause>  $pauses
     * @param  list<string|null>  $ends
     * @return array<string, mixed>
     */
    private static function item(ProgrammeItem $row, Collection $pauses, array $ends, int $doneToday): array
    {
        $item = $row->item();
        $prescription = $item->prescription;
        $technique = $prescription->technique;
        $tempo = $prescription->guidance->tempo;
        $isCounted = $item->routine === null && $item->countedBreaths() > 0;
        $timeline = $item->timeline();
        $joins = $isCounted ? $timeline->joinsOver() : null;
        $short = $item->shortVersion();

        return [
            'lineage' => $row->lineage,
            'technique' => $item->routine === null ? $technique->key : 'routine',
            'name' => $item->routine->name ?? $prescription->own->name ?? "exercise.{$technique->key}.name",
            'recovery' => $item->isRecovery(),
            'paused' => ! $item->isRecovery() && $pauses->contains(fn (Pause $pause) => $pause->lineage === null || $pause->lineage === $row->lineage),
            'ends' => $ends,
            'minutes' => $prescription->minutes,
            'position' => "position.{$prescription->position->value}",
            'props' => array_map(fn (Prop $prop) => "prop.{$prop->value}", $prescription->props),
            'hands' => $technique->hands,
            'size' => "exercise.size.{$prescription->effort->value}",
            'right' => self::right($item),
            'gaze' => "exercise.gaze.{$prescription->gaze->value}",
            'tempo' => $isCounted && $tempo->canChange() ? ['fastest' => $tempo->fastest, 'slowest' => $tempo->slowest] : null,
            // Nobody is led slower than prescribed because their own breath happens to be slow.
            'joining' => $joins === null ? null : ['over' => $joins, 'slowest' => $tempo->slowest],
            'steps' => array_map(
                fn (Prescription $step) => $step->own->name ?? "exercise.{$step->technique->key}.name", $item->routine === null ? [] : $item->exercises(),
            ),
            'why' => $item->why,
            'as_needed' => $item->asNeeded === null ? null : ['use_when' => $item->asNeeded->useWhen, 'most' => $item->asNeeded->dailyMost, 'done' => $doneToday],
            'breaths' => $item->countedBreaths() ?: null,
            'seconds' => (int) round($item->seconds()),
            'ridge' => Figures::ridge($item),
            'timeline' => $timeline,
            'short' => $short === null ? null : [
                'breaths' => $short->totalBreaths() ?: null,
                'seconds' => (int) round($short->exerciseSeconds()),
                'ridge' => Figures::ridge($short),
                'timeline' => Compiler::compile($short),
            ],
        ];
    }

    /** @return list<string> translation keys, or the clinic's own words */
    private static function right(Item $item): array
    {
        $own = $item->prescription->own->right ?? '';

        return match (true) {
            $item->routine !== null => [],
            $own !== '' => [$own],
            default => $item->school->criteria($item->prescription->technique),
        };
    }
}
