<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\School;
use IvoryPace\Health\StopSymptom;

/** What right looks like, what may be felt and is harmless, and when to stop. */
final class RightWords
{
    /** A full breath lifts the chest too: what asks it to keep quiet is then left out. */
    private const QUIET_CHEST = ['chest-quiet', 'top-hand-quiet'];

    /** @return list<Sentence> the clinic's own words, or those of technique and school that hold for this prescription */
    public static function right(Prescription $prescription, School $school): array
    {
        $own = $prescription->own->right ?? '';
        if ($own !== '') {
            return [Sentence::own(Part::Right, $own)];
        }
        $keys = Proportion::claimsOf($prescription, $school->criteria($prescription->technique));
        $fitting = array_values(array_filter(
            $keys,
            fn (string $key) => ! ($prescription->isFullSize()
                && in_array(substr($key, (int) strrpos($key, '.') + 1), self::QUIET_CHEST, true)),
        ));

        return array_map(
            fn (string $key) => new Sentence(Part::Right, Worded::key($key, $prescription)), $fitting === [] ? $keys : $fitting,
        );
    }

    /**
     * @param  bool  $isCareful  what may make this patient faint is no harmless feeling
     * @return list<Sentence>
     */
    public static function felt(Prescription $prescription, bool $isCareful): array
    {
        $feels = array_filter(
            $prescription->technique->teaching->feels, fn (string $key) => ! ($isCareful && str_ends_with($key, '.light-at-first')),
        );

        return array_map(fn (string $key) => new Sentence(Part::Felt, $key), array_values($feels));
    }

    /**
     * What is to be taken seriously, of all that is done.
     *
     * @return list<Sentence>
     */
    public static function stop(bool $isCareful, Prescription ...$prescriptions): array
    {
        if (array_filter($prescriptions, fn (Prescription $prescription) => $prescription->technique->isRecovery) !== []) {
            return [new Sentence(Part::Stop, 'told.stop.not-easing')];
        }
        $stops = array_merge(...array_map(
            fn (Prescription $prescription) => $prescription->technique->teaching->stops, array_values($prescriptions),
        ));
        $symptoms = array_map(
            fn (StopSymptom $symptom) => "told.stop.feel.{$symptom->value}",
            array_values(array_filter(StopSymptom::cases(), fn (StopSymptom $symptom) => in_array($symptom, $stops, true))),
        );

        return [
            new Sentence(Part::Stop, $isCareful ? 'told.stop.light-headed' : 'told.stop.any-time'),
            new Sentence(Part::Stop, 'told.stop.if', ['feel' => ['any' => $symptoms]]),
        ];
    }
}
