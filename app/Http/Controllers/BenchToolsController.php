<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Programme\IssueFromBench;
use App\Catalogue\FieldsShown;
use App\Catalogue\Figures;
use App\Catalogue\RoomPlay;
use App\Facts\DecidedInSession;
use App\Guard\Trail;
use App\Http\Requests\VersionRequest;
use App\Language\PatientChanges;
use App\Language\PatientLanguage;
use App\Models\CareSession;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\Comparison;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\TappedCount;
use IvoryPace\Breath\Timeline\PacedSet;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\FittingChanges;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\ChangedPart;
use IvoryPace\Programme\Changes;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemChange;
use IvoryPace\Programme\ProgrammeDraft;

/** What the Bench asks beside its answer: playing, tapping, fitting, comparing, and what an issue would change. */
final class BenchToolsController
{
    public function play(Request $request, Patient $patient): JsonResponse
    {
        $item = $this->item($request);

        return response()->json(
            RoomPlay::of($item->name(), $item->timeline(), Figures::ridge($item), $item->routine, $item->school),
        );
    }

    public function taps(Request $request, Patient $patient): JsonResponse
    {
        $tapped = $this->attempt('taps', fn () => TappedCount::of(array_values($request->array('taps'))));

        return response()->json(['count_s' => round($tapped->seconds, 2), 'spread' => $tapped->spread, 'taps' => $tapped->taps]);
    }

    /** To limits, to a rate at once or over weeks, or to minutes: whatever is typed. */
    public function fit(Request $request, Patient $patient): JsonResponse
    {
        $item = $this->item($request);
        $typed = new Fields($request->array('to'));
        $number = fn (string $name, string $of) => $typed->text($name) === '' ? null : $typed->number($name, $of);
        [$text, $changes] = $this->attempt('fit', function () use ($item, $number, $typed, $request) {

            if ($request->has('to.weeks')) {
                return FittingChanges::overWeeks(
                    $item->prescription, $typed->number('from', 'breaths a minute now'),
                    $typed->number('rate', 'breaths a minute in the end'),
                    $typed->whole('weeks', 1, 52, 'weeks'),
                );
            }
            $rate = $number('rate', 'breaths a minute');
            $minutes = $number('minutes', 'minutes');

            return match (true) {
                $rate !== null => FittingChanges::toRate($item->prescription, $rate),
                $minutes !== null => FittingChanges::toMinutes($item->prescription, $minutes),
                default => FittingChanges::toLimits(
                    $item->prescription,
                    new ComfortableLimits($number('inhale', 'seconds'), $number('hold', 'seconds'), $number('exhale', 'seconds')),
                ),
            };
        });

        return response()->json(
            [
                'text' => $text,
                'changes' => array_map(
                    fn (Change $change) => ['label' => $change->label, 'set' => (object) FieldsShown::of($change->set)], $changes,
                ),
            ],
        );
    }

    /** Two breaths on one axis of seconds. */
    public function compare(Request $request, Patient $patient): JsonResponse
    {
        $cycles = [];
        foreach (['a', 'b'] as $which) {
            $typed = new Fields($request->array($which));
            $cycles[$which] = $this->attempt(
                $which,
                fn () => Cycle::of(
                    BreathPattern::parse($typed->text('ratio')), CountLength::seconds($typed->number('count_length', 'seconds a count')),
                ),
            );
        }
        $shown = fn (Cycle $cycle) => [
            'notation' => $cycle->pattern->toDisplayString(), 'seconds' => $cycle->seconds(),
            'ridge' => Figures::ridgeOf(new Timeline([(new PacedSet($cycle, []))->compile(1)]), $cycle->countLength->seconds),
        ];

        return response()->json([
            'a' => $shown($cycles['a']), 'b' => $shown($cycles['b']), 'lines' => (new Comparison($cycles['a'], $cycles['b']))->lines(),
        ]);
    }

    /** Whether it could be issued as it is: done, and taken back at once. Refused as issuing it would be. */
    public function check(
        VersionRequest $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        IssueFromBench $issue,
        Trail $trail,
    ): JsonResponse {
        DB::beginTransaction();
        try {
            $issue($patient, $practitioner, $request->order());
        } finally {
            DB::rollBack();
            // What was not done leaves no line.
            $trail->begin();
        }

        return response()->json(['can_be_issued' => true]);
    }

    /** What an issue would change against the version in force, for the practitioner and for the patient. */
    public function changes(Request $request, Patient $patient): JsonResponse
    {
        $patient->load('activeProgramme.versions.items');
        $before = array_map(fn ($row) => $row->item(), $patient->activeProgramme?->latestVersion()?->items->all() ?? []);
        $after = ProgrammeDraft::read($request->array('items'), $request->string('school')->value() ?: null)->items();
        $changes = Changes::between(array_values($before), $after);
        $session = $request->filled('session')
            ? CareSession::query()->with('steps')->where('patient_id', $patient->id)->find($request->string('session')->value()) : null;

        return response()->json([
            'against' => $session === null ? [] : DecidedInSession::of($patient, $session)?->against($after) ?? [],
            'changes' => array_map(
                fn (ItemChange $change) => [
                    'kind' => $change->kind, 'name' => $change->name,
                    'lines' => array_map(fn (ChangedPart $part) => $part->write(), $change->lines),
                ],
                $changes,
            ),
            'patient_note' => PatientLanguage::of($patient, fn () => PatientChanges::inWords($changes)),
        ]);
    }

    /** @throws ValidationException */
    private function item(Request $request): Item
    {
        $draft = ProgrammeDraft::read(
            $request->array('items'), $request->string('school')->value() ?: null,
        )->drafts[$request->integer('at')] ?? null;

        return $draft->item ?? throw ValidationException::withMessages(
            ['items' => array_values($draft->errors ?? [])[0] ?? 'There is no such exercise.'],
        );
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     *
     * @throws ValidationException
     */
    private function attempt(string $field, callable $read): mixed
    {
        try {
            return $read();
        } catch (InvalidValue $problem) {
            throw ValidationException::withMessages([$field => $problem->getMessage()]);
        }
    }
}
