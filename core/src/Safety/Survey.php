<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use LogicException;

/**
 * How often the rules speak of sensible prescriptions: too many alarms are ignored. Sensible is what each technique is by
 * default in a school, for an adult with no flag (half of the weight) or with exactly one of some common ones (the other
 * half). Common practice.
 */
final class Survey
{
    /** Flags with which the defaults are sensible. */
    private const COMMON = [
        Flag::Reflux, Flag::LowBackPain, Flag::BlockedNose, Flag::NeckInjury, Flag::HearingLoss, Flag::HandTrouble, Flag::Asthma,
        Flag::CannotReachFloor,
    ];

    private const AGE = 40;

    /** Greatest share of sensible prescriptions that may carry a caution or more. */
    public const MOST_ALARMS = 0.22;

    /** Least share of them of which something is said at all, a note or more: rules that are always silent help nobody. */
    public const LEAST_SAID = 0.08;

    /**
     * @param  Level  $from  the least that is counted
     * @return float 0–1: of sensible prescriptions, those of which that or more is said
     */
    public static function share(School $school, Level $from = Level::Caution): float
    {
        $techniques = array_filter(Catalogue::all(), fn (Technique $technique) => ! $technique->isRecovery);
        $alarms = 0.0;
        foreach ($techniques as $technique) {
            $says = fn (PatientFacts $patient): bool => (self::level($technique, $school, $patient)?->rank() ?? -1) >= $from->rank();
            $withFlag = count(array_filter(self::COMMON, fn (Flag $flag) => $says(new PatientFacts([$flag], age: self::AGE, mmrc: 1))));
            $alarms += ($says(new PatientFacts(age: self::AGE)) ? 0.5 : 0.0) + 0.5 * $withFlag / count(self::COMMON);
        }

        return $alarms / count($techniques);
    }

    /** The gravest that is said of a technique as it is prescribed by default; null when nothing is. */
    public static function level(Technique $technique, School $school, PatientFacts $patient): ?Level
    {
        $item = DraftReader::read(['technique' => $technique->key, 'school' => $school->value], 'x')->item
            ?? throw new LogicException("The defaults of {$technique->key} cannot be prescribed.");

        return RuleBook::findings($item, $patient, [], false)[0]->level ?? null;
    }

    /** @return array<string, PatientFacts> one adult for each flag, by its value; of a pregnancy both halves */
    public static function people(): array
    {
        $people = ['' => new PatientFacts(age: self::AGE)];
        foreach (Flag::asked() as $flag) {
            $people[$flag->value] = new PatientFacts([$flag], age: self::AGE, pregnancyWeeks: 12);
        }
        $people[Flag::LatePregnancy->value] = new PatientFacts([Flag::Pregnancy], age: self::AGE, pregnancyWeeks: 30);
        $people[Flag::Under16->value] = new PatientFacts(age: 14);
        $people[Flag::Under12->value] = new PatientFacts(age: 10);

        return $people;
    }
}
