<?php

declare(strict_types=1);

namespace IvoryPace\Letter;

/** What a letter is for. */
enum LetterKind: string
{
    case Progress = 'progress';
    case Discharge = 'discharge';
    case Onward = 'onward';

    /** Speaks to the patient, in their language and in the words of their sheet. */
    case Summary = 'summary';

    public function label(): string
    {
        return match ($this) {
            self::Progress => 'Progress letter',
            self::Discharge => 'Discharge letter',
            self::Onward => 'Referred onward',
            self::Summary => 'Patient summary',
        };
    }

    /** Whether it names the patient to somebody else. */
    public function isToSomebodyElse(): bool
    {
        return $this !== self::Summary;
    }

    /** @return list<LetterPart> in the order in which they are read */
    public function parts(): array
    {
        return match ($this) {
            self::Progress => [
                LetterPart::Why, LetterPart::Measures, LetterPart::Practice, LetterPart::Programme, LetterPart::Plan, LetterPart::Closing,
            ],
            self::Discharge => [
                LetterPart::Why, LetterPart::Outcome, LetterPart::Measures, LetterPart::Practice, LetterPart::Programme,
                LetterPart::Plan, LetterPart::Closing,
            ],
            // Whoever reads it decides from its first lines how soon to act.
            self::Onward => [
                LetterPart::Asked, LetterPart::Concern, LetterPart::Why, LetterPart::Measures, LetterPart::Programme, LetterPart::Closing,
            ],
            self::Summary => [LetterPart::Why, LetterPart::Measures, LetterPart::Practice, LetterPart::Programme, LetterPart::Plan],
        };
    }

    /** @return list<LetterPart> without which it is no such letter; the record may have nothing for them */
    public function needs(): array
    {
        return match ($this) {
            self::Onward => [LetterPart::Asked],
            self::Discharge => [LetterPart::Outcome],
            default => [],
        };
    }
}
