<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\InvalidValue;

/** From which numbers on something is proposed. Common practice; a clinic may set its own. */
final readonly class Thresholds
{
    /** Lowest and highest value of each. */
    private const POSSIBLE = [
        'leastDays' => [1, 60], 'leastPractices' => [1, 100], 'stops' => [1, 10], 'hardEffort' => [1, 10], 'easyEffort' => [0, 9], 'lightEffort' => [0, 10],
        'lowSmooth' => [0, 1], 'highSmooth' => [0, 1], 'lowAdherence' => [0, 1], 'highAdherence' => [0, 1], 'notWorse' => [0, 1], 'goalDays' => [1, 90],
    ];

    /**
     * @param  int  $leastDays  days in the window below which it is too early
     * @param  int  $leastPractices  practices, likewise
     * @param  int  $stops  stops for a symptom from which a step back is proposed
     * @param  float  $hardEffort  median effort 0–10 from which it is too hard
     * @param  float  $easyEffort  median effort up to which a step up is proposed
     * @param  float  $lightEffort  median effort up to which little practice is not a matter of a hard breath
     * @param  float  $lowSmooth  share 0–1 below which it is too hard
     * @param  float  $highSmooth  share from which a step up is proposed
     * @param  float  $lowAdherence  share below which fewer practices are proposed
     * @param  float  $highAdherence  share from which a step up is proposed
     * @param  float  $notWorse  share of rated practices after which the symptom is no worse, for a step up
     * @param  int  $goalDays  days at the goal's target from which it is finished
     *
     * @throws InvalidValue when one is impossible or two contradict each other
     */
    public function __construct(
        public int $leastDays = 7,
        public int $leastPractices = 6,
        public int $stops = 2,
        public float $hardEffort = 7.0,
        public float $easyEffort = 3.0,
        public float $lightEffort = 6.0,
        public float $lowSmooth = 0.5,
        public float $highSmooth = 0.8,
        public float $lowAdherence = 0.5,
        public float $highAdherence = 0.8,
        public float $notWorse = 0.7,
        public int $goalDays = 14,
    ) {
        foreach (self::POSSIBLE as $name => [$low, $high]) {
            if (! is_finite((float) $this->$name) || $low > $this->$name || $high < $this->$name) {
                throw InvalidValue::because(sprintf('%s of %s is outside %s to %s.', self::words($name), $this->$name, $low, $high));
            }
        }
        foreach ([['easyEffort', 'hardEffort'], ['lightEffort', 'hardEffort'], ['lowSmooth', 'highSmooth'], ['lowAdherence', 'highAdherence']] as [$less, $more]) {
            if ($this->$less >= $this->$more) {
                throw InvalidValue::because(sprintf('%s has to be less than %s: now both could be proposed at once.', self::words($less), lcfirst(self::words($more))));
            }
        }
    }

    /** "Easy effort", from "easyEffort". */
    private static function words(string $name): string
    {
        return ucfirst(strtolower((string) preg_replace('/(?=[A-Z])/', ' ', $name)));
    }
}
