<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

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

    public function stopClass(): StopClass
    {
        return match ($this) {
            self::Dizziness, self::Tingling, self::Cramp, self::Breathlessness, self::Panic, self::Unreal => StopClass::MadeMeStop,
            default => StopClass::GetHelp,
        };
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
        };
    }

    /** @return list<self> */
    public static function of(StopClass $class): array
    {
        return array_values(array_filter(self::cases(), fn (self $symptom) => $symptom->stopClass() === $class));
    }
}
