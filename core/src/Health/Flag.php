<?php

declare(strict_types=1);

namespace IvoryPace\Health;

/** A health fact about a patient that changes what is safe or sensible to prescribe. */
enum Flag: string
{
    case Pregnancy = 'pregnancy';
    case Epilepsy = 'epilepsy';
    case Fainting = 'fainting';
    case HeartFailure = 'heart-failure';
    case HeartAttack = 'heart-attack';
    case Arrhythmia = 'arrhythmia';
    case HighBloodPressure = 'high-blood-pressure';
    case PulmonaryHypertension = 'pulmonary-hypertension';
    case Stroke = 'stroke';
    case Asthma = 'asthma';
    case Copd = 'copd';
    case Oxygen = 'oxygen';
    case Bullae = 'bullae';
    case SickleCell = 'sickle-cell';
    case SleepApnoea = 'sleep-apnoea';
    case Panic = 'panic';
    case Trauma = 'trauma';
    case Psychosis = 'psychosis';
    case Sedatives = 'sedatives';
    case Eye = 'eye';
    case RecentEyeSurgery = 'recent-eye-surgery';
    case RecentChestSurgery = 'recent-chest-surgery';
    case RecentAbdominalSurgery = 'recent-abdominal-surgery';
    case RecentSpinalSurgery = 'recent-spinal-surgery';
    case RecentEarSurgery = 'recent-ear-surgery';
    case RibFracture = 'rib-fracture';
    case Hernia = 'hernia';
    case Reflux = 'reflux';
    case LowBackPain = 'low-back-pain';
    case NeckInjury = 'neck-injury';
    case Vertigo = 'vertigo';
    case BlockedNose = 'blocked-nose';
    case SinusOrEarInfection = 'sinus-or-ear-infection';
    case RecentBirth = 'recent-birth';
    case PelvicFloor = 'pelvic-floor';
    case HearingLoss = 'hearing-loss';
    case SightLoss = 'sight-loss';
    case HandTrouble = 'hand-trouble';
    case CannotLieFlat = 'cannot-lie-flat';
    case CannotReachFloor = 'cannot-reach-floor';
    /** From the weeks of a pregnancy, never asked; weeks that are not known count as late. */
    case LatePregnancy = 'late-pregnancy';
    /** From the date of birth, never asked. */
    case Under16 = 'under-16';
    /** From the date of birth, never asked. */
    case Under12 = 'under-12';

    public function label(): string
    {
        return match ($this) {
            self::Pregnancy => 'pregnancy',
            self::Epilepsy => 'epilepsy or seizures',
            self::Fainting => 'fainting or low blood pressure',
            self::HeartFailure => 'heart failure',
            self::HeartAttack => 'recent heart attack or unstable angina',
            self::Arrhythmia => 'irregular heart rhythm',
            self::HighBloodPressure => 'high blood pressure, not controlled',
            self::PulmonaryHypertension => 'high pressure in the lung arteries',
            self::Stroke => 'stroke, aneurysm or raised pressure in the head',
            self::Asthma => 'asthma',
            self::Copd => 'COPD',
            self::Oxygen => 'oxygen therapy',
            self::Bullae => 'bullae or a past collapsed lung',
            self::SickleCell => 'sickle-cell disease',
            self::SleepApnoea => 'sleep apnoea',
            self::Panic => 'panic disorder',
            self::Trauma => 'trauma history or dissociation',
            self::Psychosis => 'psychosis or mania',
            self::Sedatives => 'opioids or sedatives, or stopping them',
            self::Eye => 'glaucoma or detached retina',
            self::RecentEyeSurgery => 'recent eye surgery',
            self::RecentChestSurgery => 'recent chest surgery',
            self::RecentAbdominalSurgery => 'recent abdominal surgery',
            self::RecentSpinalSurgery => 'recent spinal surgery',
            self::RecentEarSurgery => 'recent ear surgery',
            self::RibFracture => 'rib fracture',
            self::Hernia => 'hernia',
            self::Reflux => 'reflux',
            self::LowBackPain => 'low back pain',
            self::NeckInjury => 'neck injury',
            self::Vertigo => 'dizziness or vertigo',
            self::BlockedNose => 'blocked nose',
            self::SinusOrEarInfection => 'sinus or ear infection',
            self::RecentBirth => 'gave birth within 6 weeks',
            self::PelvicFloor => 'pelvic floor trouble',
            self::HearingLoss => 'hearing loss',
            self::SightLoss => 'sight loss',
            self::HandTrouble => 'hand trouble',
            self::CannotLieFlat => 'trouble lying flat',
            self::CannotReachFloor => 'trouble getting down to the floor and up',
            self::LatePregnancy => 'pregnancy from 20 weeks',
            self::Under16 => 'under 16',
            self::Under12 => 'under 12',
        };
    }

    public function group(): string
    {
        return match ($this) {
            self::HeartFailure, self::HeartAttack, self::Arrhythmia, self::HighBloodPressure,
            self::PulmonaryHypertension, self::Stroke, self::Fainting, self::SickleCell => 'Heart and circulation',
            self::Asthma, self::Copd, self::Oxygen, self::Bullae, self::SleepApnoea,
            self::BlockedNose, self::SinusOrEarInfection => 'Breathing',
            self::Epilepsy, self::Panic, self::Trauma, self::Psychosis, self::Sedatives => 'Nerves and mind',
            self::Pregnancy, self::LatePregnancy, self::RecentBirth, self::PelvicFloor, self::Under16, self::Under12 => 'Stage of life',
            self::RecentEyeSurgery, self::RecentChestSurgery, self::RecentAbdominalSurgery,
            self::RecentSpinalSurgery, self::RecentEarSurgery, self::RibFracture, self::Hernia,
            self::Reflux, self::Eye => 'Surgery and injury',
            default => 'Moving, seeing, hearing',
        };
    }

    /** Flags answered in the screening; the others follow from the date of birth or the weeks. */
    public function isAsked(): bool
    {
        return ! in_array($this, [self::LatePregnancy, self::Under16, self::Under12], true);
    }

    /** As the practitioner is asked: what is recent says how recent. */
    public function question(): string
    {
        $weeks = $this->recentWeeks();
        $isSaid = $weeks === null || str_contains($this->label(), 'within');

        return ucfirst($this->label())
            .(
                $isSaid
                    ? ''
                    : (
                        $this === self::RecentEyeSurgery
                            ? " (within $weeks weeks; 12 where gas was left in the eye)"
                            : " (within $weeks weeks)"
                    )
            );
    }

    /** True where the day has to be known; unstable angina has none. */
    public function needsItsDay(): bool
    {
        return $this->recentWeeks() !== null && $this !== self::HeartAttack;
    }

    /**
     * For how many weeks something counts as recent, from the day it happened; null for what is not a thing of one day.
     * Common practice.
     *
     * @param  bool  $withGas  of an eye operation: gas was left in the eye
     */
    public function recentWeeks(bool $withGas = false): ?int
    {
        return match ($this) {
            self::HeartAttack, self::RecentChestSurgery, self::RecentAbdominalSurgery, self::RecentSpinalSurgery => 12,
            self::RecentEyeSurgery => $withGas ? 12 : 6,
            self::RecentEarSurgery, self::RecentBirth => 6,
            default => null,
        };
    }

    /** @return list<self> */
    public static function asked(): array
    {
        return array_values(array_filter(self::cases(), fn (self $flag) => $flag->isAsked()));
    }

    /** @return list<self> heart flags of the complete-exhale rule */
    public static function heart(): array
    {
        return [self::HeartFailure, self::HeartAttack, self::Arrhythmia];
    }

    /** @return list<self> any heart flag of the tables, and pressure in the lung arteries */
    public static function heartAndLungPressure(): array
    {
        return [...self::heart(), self::PulmonaryHypertension];
    }

    /** @return list<self> with which much ventilation may bring on what they stand for (common practice) */
    public static function againstOverBreathing(): array
    {
        return [
            self::Pregnancy, self::Epilepsy, self::SickleCell, self::Stroke, ...self::heartAndLungPressure(), self::Panic, self::Fainting,
            self::Under12,
        ];
    }

    /** @return list<self> with which a light head is not said to pass by itself */
    public static function lightHeadednessMatters(): array
    {
        return [self::Fainting, ...self::heartAndLungPressure(), self::Pregnancy];
    }

    /** @return list<self> operations that count as recent */
    public static function surgery(): array
    {
        return [
            self::RecentEyeSurgery, self::RecentChestSurgery, self::RecentAbdominalSurgery, self::RecentSpinalSurgery,
            self::RecentEarSurgery,
        ];
    }

    /** @return list<self> flags with which breath-holding needs care (common practice) */
    public static function againstHolding(): array
    {
        return [
            self::Pregnancy, self::Epilepsy, self::Fainting, ...self::heart(), self::PulmonaryHypertension,
            self::HighBloodPressure, self::Stroke, self::Eye, self::SickleCell, self::Bullae, self::Copd, self::Oxygen,
            self::Under16, self::Under12, self::Panic, self::Sedatives,
        ];
    }
}
