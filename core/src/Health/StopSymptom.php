<?php

declare(strict_types=1);

namespace IvoryPace\Health;

/** Symptoms with which a practice is stopped (common practice). */
enum StopSymptom: string
{
    case Dizziness = 'dizziness';
    case Tingling = 'tingling';
    case Cramp = 'cramp';
    case Breathlessness = 'breathlessness';
    case Panic = 'panic';
    case Unreal = 'unreal';
    case ChestPain = 'chest-pain';
    case Fainting = 'fainting';
    case Confusion = 'confusion';
    case Weakness = 'weakness';
    case Palpitations = 'palpitations';
    case Headache = 'headache';
    case BreathlessnessStays = 'breathlessness-stays';
    case NumbSide = 'numb-side';
    case SlurredSpeech = 'slurred-speech';
    case Seizure = 'seizure';
    case LossOfSight = 'loss-of-sight';
    case SomethingElse = 'something-else';

    public function stopClass(): StopClass
    {
        return match ($this) {
            self::Dizziness, self::Tingling, self::Cramp, self::Breathlessness, self::Panic, self::Unreal,
            self::SomethingElse => StopClass::MadeMeStop,
            default => StopClass::GetHelp,
        };
    }

    /** Whether a practice may end with it in a class: its own, or as one that did not settle. */
    public function goesWith(StopClass $class): bool
    {
        return $class === $this->stopClass() || $class === StopClass::GetHelp;
    }

    /** For the practitioner. */
    public function label(): string
    {
        return match ($this) {
            self::Dizziness => 'dizziness',
            self::Tingling => 'tingling or numbness',
            self::Cramp => 'cramp',
            self::Breathlessness => 'growing breathlessness',
            self::Panic => 'rising panic',
            self::Unreal => 'feeling unreal',
            self::ChestPain => 'chest pain',
            self::Fainting => 'fainting',
            self::Confusion => 'confusion',
            self::Weakness => 'one-sided weakness',
            self::Palpitations => 'palpitations that go on',
            self::Headache => 'a new severe headache',
            self::BreathlessnessStays => 'breathlessness that does not settle',
            self::NumbSide => 'numbness of one side',
            self::SlurredSpeech => 'slurred speech',
            self::Seizure => 'a seizure',
            self::LossOfSight => 'loss of sight',
            self::SomethingElse => 'something else',
        };
    }

    /**
     * What it becomes when it has not settled at the second look: of breathlessness its own name, of everything else the
     * symptom as it was, for which help is needed now.
     */
    public function unsettled(): self
    {
        return $this === self::Breathlessness ? self::BreathlessnessStays : $this;
    }

    /**
     * What the devices ask, in the order in which it is asked.
     *
     * @return array{made_me_stop: list<string>, get_help: list<string>}
     */
    public static function forDevices(): array
    {
        $values = fn (StopClass $class) => array_map(fn (self $symptom) => $symptom->value, self::of($class));

        return ['made_me_stop' => $values(StopClass::MadeMeStop), 'get_help' => $values(StopClass::GetHelp)];
    }

    /** @return list<self> */
    public static function of(StopClass $class): array
    {
        return array_values(array_filter(self::cases(), fn (self $symptom) => $symptom->stopClass() === $class));
    }
}
