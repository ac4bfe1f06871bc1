<?php

declare(strict_types=1);

namespace App\Device;

use App\Catalogue\Figures;
use App\Facts\PatientFactsOf;
use App\Language\PlainWords;
use App\Language\Told;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use IvoryPace\Exercise\Told\ExerciseTold;
use IvoryPace\Exercise\Told\PlainName;
use IvoryPace\Exercise\Told\Sentence;
use IvoryPace\Health\Flag;
use IvoryPace\Practice\RecoveryWatch;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\PhonePlace;
use IvoryPace\Programme\SelfCheck;
use IvoryPace\Programme\Told\Instruction;
use IvoryPace\Safety\Likeness;
use IvoryPace\Safety\PauseRules;
use stdClass;

/** The exercises of a programme as the player needs them. */
final class TodayItems
{
    /** So many of the latest practices of an exercise are looked through. */
    private const LATEST = 10;

    /**
     * @param  list<ProgrammeVersion>  $versions
     * @param  bool  $recoveryOnly  only what helps when breath is short
     * @return array<int, list<array<string, mixed>>> by version
     */
    public static function ofVersions(Patient $patient, array $versions, CarbonImmutable $now, bool $recoveryOnly = false): array
    {
        $pauses = $patient->pauses()->holding($now)->with('redFlag')->limit(50)->get();
        $lookedAt = $patient->pauses()->whereNotNull('until_at')->whereNotNull('ended_by')->orderByDesc('until_at')->limit(50)->get();
        $today = $patient->dayOf($now);
        $done = $patient->practices()->where('started_at', '>=', $patient->clock()->startsAt($today))->whereNull('doubt')->limit(200)
            ->get(['lineage'])
            ->countBy('lineage');
        $since = $patient->clock()->startsAt($today);
        $ticked = $patient->ticks()->where('ticked_at', '>=', $since)->limit(200)->get(['lineage'])->countBy('lineage');
        $isCareful = PatientFactsOf::screened(
            $patient->loadMissing('latestScreening.answers'), $now,
        )->which(Flag::lightHeadednessMatters()) !== [];
        $latest = self::latest($patient, $versions);
        $all = [];
        foreach ($versions as $version) {
            $rows = $version->items->filter(fn (ProgrammeItem $row) => ! $recoveryOnly || $row->item()->isRecovery());
            $all[$version->id] ??= array_values($rows->map(fn (ProgrammeItem $row) => [
                ...self::item(
                    $row->item(), $row->lineage, (int) (($row->item()->isTicked() ? $ticked : $done)[$row->lineage] ?? 0), $isCareful,
                ),
                'paused' => self::why($row, $pauses),
                'paused_note' => self::pauseOf($row, $pauses)?->reason,
                'like' => self::like($row, $version),
                'ends' => self::ends($row, self::like($row, $version), $latest, $lookedAt),
            ])->all());
        }

        return $all;
    }

    /** @return array<string, mixed> recovery as it stands before the PIN */
    public static function forEveryone(): array
    {
        return [
            ...self::item(RecoveryWatch::forEveryone(), 'everyone', 0, true), 'paused' => null, 'paused_note' => null, 'like' => [],
            'ends' => [],
            'as_needed' => null,
        ];
    }

    /**
     * Why it is paused, for the words that say so; null when it is not.
     *
     * @param  Collection<int, Pause>  $pauses
     */
    private static function why(ProgrammeItem $row, Collection $pauses): ?string
    {
        $pause = self::pauseOf($row, $pauses);

        return match (true) {
            $pause === null => null,
            $pause->rule === PauseRules::BY_PRACTITIONER => 'practitioner',
            $pause->rule === PauseRules::RED_FLAG && $pause->redFlag?->source === 'measured' => 'measured',
            $pause->rule === PauseRules::RED_FLAG, $pause->rule === PauseRules::NEW_FINDING => 'answers',
            default => 'stop',
        };
    }

    /**
     * The gravest that holds it: what a practitioner said comes after what was found.
     *
     * @param  Collection<int, Pause>  $pauses
     */
    private static function pauseOf(ProgrammeItem $row, Collection $pauses): ?Pause
    {
        return $row->item()->isRecovery() ? null : $pauses->filter(fn (Pause $pause) => $pause->concerns($row->lineage, $row->likeness()))
            ->sortBy(fn (Pause $pause) => $pause->rule === PauseRules::BY_PRACTITIONER)->first();
    }

    /** @return list<string> lines of the same version on which the same exercise stands, its own first */
    private static function like(ProgrammeItem $row, ProgrammeVersion $version): array
    {
        return array_values(array_unique([
            $row->lineage,
            ...$version->items->filter(fn (ProgrammeItem $other) => Likeness::meet($other->likeness(), $row->likeness()))
                ->map(fn (ProgrammeItem $other) => $other->lineage)->values()->all(),
        ]));
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
            ->selectRaw(
                'lineage, stop_class, ended_at, received_at, row_number() over (partition by lineage order by ended_at desc, id desc) as '
                    .'place',
            );

        return DB::query()->fromSub($ranked, 'ranked')->where('place', '<=', self::LATEST)->orderBy('place')->get()
            ->groupBy(fn (stdClass $row) => (string) $row->lineage);
    }

    /**
     * How the last practices of an exercise ended since somebody looked, latest first: with them the device applies the
     * pausing rule by itself.
     *
     * @param  list<string>  $like
     * @param  Collection<string, Collection<int, stdClass>>  $latest  by lineage
     * @param  Collection<int, Pause>  $lookedAt
     * @return list<string|null>
     */
    private static function ends(ProgrammeItem $row, array $like, Collection $latest, Collection $lookedAt): array
    {
        $since = $lookedAt->first(
            fn (Pause $pause) => PauseRules::settlesStops($pause->rule) && $pause->concerns($row->lineage, $row->likeness()),
        )?->until_at;
        $seen = collect($like)->flatMap(fn (string $lineage) => $latest->get($lineage, collect()))->sortByDesc('ended_at')
            ->filter(
                fn (stdClass $practice) => PauseRules::stillCounts(CarbonImmutable::parse((string) $practice->received_at, 'UTC'), $since),
            );

        return array_values(
            $seen->take(PauseRules::LOOK_AT - 1)
                ->map(fn (stdClass $practice) => $practice->stop_class === null ? null : (string) $practice->stop_class)->all(),
        );
    }

    /** @return array<string, mixed> */
    private static function item(Item $item, string $lineage, int $doneToday, bool $isCareful): array
    {
        $prescription = $item->prescription;
        $technique = $prescription->technique;
        $tempo = $prescription->guidance->tempo;
        $isCounted = $item->routine === null && $item->countedBreaths() > 0;
        $timeline = $item->timeline();
        $joins = $isCounted ? $timeline->joinsOver() : null;
        $short = $item->shortTimeline();

        return [
            'lineage' => $lineage,
            'technique' => $item->routine === null ? $technique->key : 'routine',
            'name' => $item->routine->name ?? PlainName::of($prescription),
            'recovery' => $item->isRecovery(),
            'minutes' => $prescription->minutes,
            'tempo' => $isCounted && $tempo->canChange() ? ['fastest' => $tempo->fastest, 'slowest' => $tempo->slowest] : null,
            // Nobody is led slower than prescribed because their own breath happens to be slow.
            'joining' => $joins === null
                ? null
                : ['over' => $joins, 'slowest' => $tempo->slowest, 'least' => $prescription->shortestJoining()],
            'phone' => PhonePlace::of($item)?->value,
            'told' => Told::parts(Instruction::of($item, $isCareful)),
            'taught' => self::taught($item),
            'needs' => PlainWords::needs([$item]),
            'checks' => array_map(fn (SelfCheck $check) => [
                'key' => $check->value, 'question' => (string) __("told.check.{$check->value}.question"),
                'answers' => array_map(
                    fn (string $answer) => ['value' => $answer, 'label' => (string) __("told.check.{$check->value}.$answer")],
                    $check->answers(),
                ),
            ], $item->checks),
            'night' => $item->nightEnding(),
            'quiet' => $item->endsInSleep(),
            'why' => $item->why,
            'as_needed' => $item->asNeeded === null
                ? null
                : [
                    'use_when' => $item->asNeeded->useWhen, 'most' => $item->asNeeded->dailyMost, 'way' => $item->asNeeded->way->value,
                    'room' => $item->asNeeded->room(), 'done' => $doneToday,
                ],
            'breaths' => $item->countedBreaths() ?: null,
            'seconds' => (int) round($item->seconds()),
            'ridge' => Figures::ridge($item),
            'timeline' => $timeline,
            'short' => $short === null ? null : [
                'breaths' => $isCounted ? $short->breaths() : null,
                'seconds' => (int) round($short->exerciseMs() / 1000),
                'ridge' => Figures::ridge($item->shortVersion() ?? $item),
                'timeline' => $short,
                'night' => $item->nightEnding(short: true),
                'quiet' => $item->endsInSleep(short: true),
            ],
        ];
    }

    /**
     * What is said before each exercise of a routine, by the number of its step and the key that its cue carries.
     *
     * @return list<array{step: int, name: string, told: list<array{key: string, text: string}>}>
     */
    private static function taught(Item $item): array
    {
        $taught = [];
        foreach ($item->routine->steps ?? [] as $index => $step) {
            if ($step->prescription !== null) {
                $taught[] = [
                    'step' => $index + 1, 'name' => PlainName::of($step->prescription),
                    'told' => array_map(
                        fn (Sentence $sentence) => ['key' => $sentence->key, 'text' => Told::say($sentence)],
                        ExerciseTold::anyStep($step->prescription, $item->school),
                    ),
                ];
            }
        }

        return $taught;
    }
}
