<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;

/**
 * Reliable change and clinical significance: RC = (x2 − x1) / Sdiff, Sdiff = √2 · SE, SE = s1 √(1 − rxx), reliable when
 * |RC| > 1.96. Source: Jacobson & Truax, J Consult Clin Psychol 1991;59:12–19.
 */
final readonly class ReliableChange
{
    private const RELIABLE = 1.96;

    /**
     * @param  float  $sd  of the patients, in points, more than 0
     * @param  float  $reliability  0 to under 1
     * @param  bool  $higherIsBetter  direction of the scale
     * @param  float|null  $cutOff  between patients and others, in points
     *
     * @throws InvalidValue
     */
    public function __construct(
        public float $sd,
        public float $reliability,
        public bool $higherIsBetter = false,
        public ?float $cutOff = null,
    ) {
        if (! ($sd > 0)) {
            throw InvalidValue::because("A standard deviation of $sd is not more than 0.");
        }
        if (! ($reliability >= 0 && $reliability < 1)) {
            throw InvalidValue::because("A reliability of $reliability is outside 0 to under 1.");
        }
    }

    public function standardError(): float
    {
        return $this->sd * sqrt(1 - $this->reliability);
    }

    public function standardErrorOfDifference(): float
    {
        return sqrt(2) * $this->standardError();
    }

    public function index(float $before, float $after): float
    {
        return ($after - $before) / $this->standardErrorOfDifference();
    }

    public function classify(float $before, float $after): ChangeClass
    {
        $index = $this->index($before, $after) * ($this->higherIsBetter ? 1 : -1);
        $hasPassed = $this->cutOff !== null && ($this->higherIsBetter ? $after > $this->cutOff : $after < $this->cutOff);

        return match (true) {
            $index < -self::RELIABLE => ChangeClass::Worse,
            $index <= self::RELIABLE => ChangeClass::Unchanged,
            $hasPassed => ChangeClass::Recovered,
            default => ChangeClass::Improved,
        };
    }
}
