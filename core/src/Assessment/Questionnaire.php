<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;

/** A scored questionnaire: items, bands, what missing answers do, and how a change is judged. */
final readonly class Questionnaire
{
    /**
     * @param  int  $items  how many
     * @param  int  $most  highest answer to an item; the lowest is 0
     * @param  array<int, string>  $bands  label by the score from which it holds, ascending from 0
     * @param  int  $missingAllowed  items that may be missing; the score is then scaled up and marked
     * @param  float|null  $reliableChange  points from which a change is reliable; null when nothing is claimed
     * @param  float|null  $recoveryBelow  scores under this are no case any more; null when nothing is claimed
     * @param  string  $source  of bands and numbers
     */
    private function __construct(
        public string $key,
        public string $name,
        public int $items,
        public int $most,
        public array $bands,
        public int $missingAllowed,
        public ?float $reliableChange,
        public ?float $recoveryBelow,
        public string $source,
    ) {
    }

    public static function gad7(): self
    {
        return new self(
            'gad-7', 'GAD-7', 7, 3, [0 => 'minimal', 5 => 'mild', 10 => 'moderate', 15 => 'severe'], 1, 4.0, 8.0,
            'Spitzer, Kroenke, Williams, Löwe, Arch Intern Med 2006;166:1092–1097. Reliable change and recovery cut-off: NHS Talking '
                .'Therapies Manual (from memory); Toussaint et al., J Affect Disord 2020;265:395–401 (from memory).',
        );
    }

    public static function nijmegen(): self
    {
        return new self(
            'nijmegen', 'Nijmegen questionnaire', 16, 4,
            [0 => 'up to the usual upper end', 21 => 'raised', 23 => 'has been read as over-breathing'], 0, null, null,
            'van Dixhoorn & Duivenvoorden, J Psychosom Res 1985;29:199–206; van Dixhoorn & Folgering, ERJ Open Research 2015;1:00001-2015 '
                .'(from memory): no diagnosis.',
        );
    }

    public static function mmrc(): self
    {
        return new self(
            'mmrc', 'mMRC breathlessness grade', 1, 4,
            [
                0 => 'only with strenuous exercise', 1 => 'hurrying or uphill', 2 => 'slower than others of the same age',
                3 => 'stops after about 100 m', 4 => 'too breathless to leave the house',
            ],
            0, null, null, 'Bestall et al., Thorax 1999;54:581–586 (from memory).',
        );
    }

    /** @return list<self> */
    public static function all(): array
    {
        return [self::gad7(), self::nijmegen(), self::mmrc()];
    }

    public function highest(): int
    {
        return $this->items * $this->most;
    }

    /**
     * @param  list<int|null>  $answers  one for each item; null for a missing one
     *
     * @throws InvalidValue when the number of answers or one of them does not fit
     */
    public function score(array $answers): Score
    {
        if (count($answers) !== $this->items) {
            throw InvalidValue::because(count($answers)." answers; {$this->name} has {$this->items} items.");
        }
        foreach ($answers as $index => $answer) {
            if ($answer !== null && ($answer < 0 || $answer > $this->most)) {
                throw InvalidValue::because('Item '.($index + 1).": $answer is outside 0 to {$this->most}.");
            }
        }
        $given = array_filter($answers, fn (?int $answer) => $answer !== null);
        $missing = $this->items - count($given);
        if ($missing > $this->missingAllowed || $given === []) {
            return new Score(null, $missing, '');
        }
        $value = array_sum($given) * $this->items / count($given);

        return new Score($value, $missing, $this->band($value));
    }

    public function band(float $score): string
    {
        $label = '';
        foreach ($this->bands as $from => $band) {
            $label = $score >= $from ? $band : $label;
        }

        return $label;
    }

    /** Whether nothing is known of what a change says, unless a clinic enters the spread and the reliability it goes by. */
    public function needsReliability(): bool
    {
        return $this->reliableChange === null;
    }

    /**
     * What a change from one score to another says; lower is better.
     *
     * @param  ReliableChange|null  $ofClinic  what a clinic goes by where no reliable change is shipped
     */
    public function change(float $before, float $after, ?ReliableChange $ofClinic = null): ChangeClass
    {
        if ($this->reliableChange === null) {
            return $ofClinic?->classify($before, $after) ?? ChangeClass::NotClaimed;
        }
        $difference = $after - $before;

        return match (true) {
            $difference >= $this->reliableChange => ChangeClass::Worse,
            $difference > -$this->reliableChange => ChangeClass::Unchanged,
            $this->recoveryBelow !== null && $before >= $this->recoveryBelow && $after < $this->recoveryBelow => ChangeClass::Recovered,
            default => ChangeClass::Improved,
        };
    }
}
