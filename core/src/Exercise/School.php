<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Counting;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Ladder\Climb;
use IvoryPace\Exercise\Ladder\LadderAxis;

/**
 * What a prescriber assumes about a good breath, where practitioners disagree. It sets defaults, the wording of
 * criteria and the order of ladders; each field can still be changed. Common practice.
 */
enum School: string
{
    /** The default: no holds, no big breath, so the fewest ways to make a patient dizzy. */
    case GentleControl = 'gentle-control';
    case RatioPractice = 'ratio-practice';
    case RibMechanics = 'rib-mechanics';
    case Contemplative = 'contemplative';

    /** How much slower a ratio may be played where this school leaves the pace to the patient. */
    private const SLOWER = 1.25;

    /** Ends of criteria that say how much the ribs may move: each school has its own view of that. */
    private const ABOUT_RIBS = ['chest-quiet', 'top-hand-quiet'];

    public function label(): string
    {
        return match ($this) {
            self::GentleControl => 'gentle control',
            self::RatioPractice => 'ratio practice',
            self::RibMechanics => 'rib mechanics',
            self::Contemplative => 'contemplative',
        };
    }

    /** @return array<string, string> question => what the school assumes, for the prescriber */
    public function assumptions(): array
    {
        $questions = ['Size of breath', 'Ribs', 'Exhale', 'Hold after the inhale', 'Progression', 'Too hard', 'Learn in'];

        return array_combine($questions, match ($this) {
            self::GentleControl => [
                'resting size', 'sides may widen, upper chest quiet', 'passive, nose or lips', 'none',
                'position first, then exhale count', 'shorter count, easier position', 'supine',
            ],
            self::RatioPractice => [
                'comfortable', 'belly first', 'lengthened, mouth allowed', 'part of the ratio',
                'breaths, then count; ratio fixed', 'faster at the same ratio', 'seated upright',
            ],
            self::RibMechanics => [
                'wide, three-way', 'must widen and return', 'passive, then complete', 'none', 'breaths', 'fewer breaths',
                'seated or standing',
            ],
            self::Contemplative => [
                'as it comes', 'not judged', 'passive', 'optional, soft', 'start and top step', 'fewer steps, no count', 'any',
            ],
        });
    }

    /**
     * Defaults over those of the technique, where the technique allows them.
     *
     * @return array<string, mixed>
     */
    public function defaults(Technique $technique): array
    {
        $learnIn = match ($this) {
            self::GentleControl => [Position::Supine, Position::SupineKneesBent],
            self::RatioPractice => [Position::Seated],
            self::RibMechanics => [Position::Seated, Position::Standing],
            self::Contemplative => [],
        };
        $position = array_values(array_filter($learnIn, fn (Position $each) => in_array($each, $technique->positions, true)))[0] ?? null;
        $isOwnPlace = $this === self::GentleControl || in_array($technique->positions[0], $learnIn, true);

        return [
            ...($position === null || $isOwnPlace ? [] : [
                'position' => $position->value,
                'props' => $position === Position::Seated ? [Prop::ChairWithBack->value] : [],
            ]),
            ...($this === self::RibMechanics && $technique->hasRatio() && $technique->effort === Effort::Gentle
                && in_array(Effort::Full, $technique->efforts, true) ? ['effort' => Effort::Full->value] : []),
            ...($this === self::RatioPractice && $technique->hasRatio() ? ['fastest' => 0.8, 'slowest' => self::slowest($technique)] : []),
            ...($this === self::Contemplative ? ['counting' => [
                'inhale' => $technique->countIn->value, 'hold' => Counting::Silent->value, 'exhale' => $technique->countOut->value,
                'rest' => Counting::Silent->value,
            ]] : []),
        ];
    }

    /** How much slower the patient may go: a quarter, but no breath is to last longer than 20 s. */
    private static function slowest(Technique $technique): float
    {
        [$prescription] = PrescriptionReader::read(['technique' => $technique->key]);
        $seconds = $prescription?->topCycle()?->seconds() ?? 0.0;

        return $seconds <= 0
            ? self::SLOWER
            : max(1.0, min(self::SLOWER, floor(Prescription::LONGEST_BREATH / $seconds * 100 + 1e-9) / 100));
    }

    /**
     * What right looks like: the technique's own criteria, with this school's view of the ribs.
     *
     * @return list<string> translation keys
     */
    public function criteria(Technique $technique): array
    {
        if ($this === self::GentleControl || $technique->effort === Effort::Complete) {
            return $technique->teaching->right;
        }
        $kept = array_values(array_filter(
            $technique->teaching->right,
            fn (string $key) => ! in_array(substr($key, (int) strrpos($key, '.') + 1), self::ABOUT_RIBS, true),
        ));

        return count($kept) === count($technique->teaching->right) ? $kept : [...$kept, "exercise.school.{$this->value}"];
    }

    /**
     * The climbs of a technique in the order in which this school takes them.
     *
     * @param  list<Climb>  $climbs
     * @return list<Climb>
     */
    public function order(array $climbs): array
    {
        [$first, $never] = match ($this) {
            self::GentleControl => [[LadderAxis::Position, LadderAxis::Ratio], []],
            self::RatioPractice => [[LadderAxis::Repeats, LadderAxis::Count], [LadderAxis::Ratio]],
            self::RibMechanics => [[LadderAxis::Repeats], [LadderAxis::Ratio, LadderAxis::Count]],
            self::Contemplative => [[LadderAxis::Parameter], [LadderAxis::Ratio, LadderAxis::Count, LadderAxis::Position]],
        };
        $ordered = [];
        foreach ($first as $axis) {
            array_push($ordered, ...array_filter($climbs, fn (Climb $climb) => $climb->axis === $axis));
        }
        array_push($ordered, ...array_filter($climbs, fn (Climb $climb) => ! in_array($climb->axis, [...$first, ...$never], true)));

        // A technique that progresses in no way of this school keeps its own.
        return $ordered === [] ? $climbs : $ordered;
    }
}
