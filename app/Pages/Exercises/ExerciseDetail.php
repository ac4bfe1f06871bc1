<?php

declare(strict_types=1);

namespace App\Pages\Exercises;

use App\Catalogue\Figures;
use App\Catalogue\LadderView;
use App\Catalogue\Shelf;
use IvoryPace\Exercise\Adjusting;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Exercise\School;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Safety\Cautions;

/** One exercise of the catalogue, with everything that is known of it. */
final class ExerciseDetail
{
    /** @return array<string, mixed> */
    public static function of(string $key, Prescription $prescription): array
    {
        $technique = $prescription->technique;
        $teaching = $technique->teaching;
        $short = $technique->short === [] ? null : PrescriptionReader::changed($prescription, $technique->short);

        return [
            'key' => $key,
            'name' => $prescription->name(),
            'about' => $technique->about,
            'is_own' => $technique->isOwn,
            'fields' => PrescriptionFields::write($prescription),
            'summary' => $prescription->summary(),
            'figures' => Figures::of($prescription),
            'ridge' => Figures::ridge($prescription),
            'uses' => array_map(fn (Purpose $purpose) => $purpose->label(), $teaching->uses),
            'times' => self::words($teaching->times),
            'times_a_day' => $technique->timesADay,
            'is_recovery' => $technique->isRecovery,
            'positions' => array_map(fn (Position $position) => $position->label(), $technique->positions),
            'props' => array_map(fn (Prop $prop) => $prop->label(), $prescription->props),
            'hands' => self::words(["hands.{$prescription->hands->value}"])[0],
            'route' => "in by {$prescription->routeIn->label()}, out by {$prescription->routeOut->label()}",
            'effort' => $prescription->effort->label(),
            'short' => $short === null ? null : [
                'summary' => $short->summary(),
                'seconds' => $short->technique->length === Length::Minutes ? null : $short->exerciseSeconds(),
            ],
            'right' => $prescription->own !== null && $prescription->own->right !== ''
                ? [$prescription->own->right]
                : self::words($teaching->right),
            'mistakes' => self::words($teaching->mistakes),
            'feels' => self::words($teaching->feels),
            'stops' => array_map(fn (StopSymptom $symptom) => $symptom->label(), $teaching->stops),
            'cautions' => array_map(fn (array $caution) => [...$caution, 'level' => $caution['level']->value], Cautions::of($technique)),
            'schools' => array_map(fn (School $school) => self::school($prescription, $school), School::cases()),
        ];
    }

    /** @return array<string, mixed> */
    private static function school(Prescription $prescription, School $school): array
    {
        $here = Shelf::inSchool($prescription, $school);
        $labels = fn (array $changes) => array_map(fn (Change $change) => $change->label, $changes);

        return [
            'key' => $school->value,
            'label' => $school->label(),
            'assumes' => $school->assumptions(),
            'starts' => $here->summary(),
            'effort' => $here->effort->label(),
            'right' => self::words($school->criteria($here->technique)),
            'ladder' => LadderView::rungs(Ladder::generate($here, $school)),
            'too_hard' => $labels(Adjusting::tooHard($here, $school)),
            'too_easy' => $labels(Adjusting::tooEasy($here, $school)),
        ];
    }

    /**
     * @param  list<string>  $keys
     * @return list<string>
     */
    private static function words(array $keys): array
    {
        return array_map(fn (string $key) => (string) __($key), $keys);
    }
}
