<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/** Two breaths side by side: what differs, in numbers. */
final readonly class Comparison
{
    public function __construct(public Cycle $a, public Cycle $b)
    {
    }

    /**
     * @return list<array{what: string, unit: string, a: float, b: float, difference: float}> b against a; all of them, also those that are
     * equal
     */
    public function lines(): array
    {
        $of = fn (string $what, string $unit, float $a, float $b) => [
            'what' => $what, 'unit' => $unit, 'a' => $a, 'b' => $b, 'difference' => $b - $a,
        ];

        return [
            $of('inhale', 's', $this->a->inhaleSeconds(), $this->b->inhaleSeconds()),
            $of('hold', 's', $this->a->phaseSeconds(Phase::Hold), $this->b->phaseSeconds(Phase::Hold)),
            $of('exhale', 's', $this->a->phaseSeconds(Phase::Exhale), $this->b->phaseSeconds(Phase::Exhale)),
            $of('rest', 's', $this->a->phaseSeconds(Phase::Rest), $this->b->phaseSeconds(Phase::Rest)),
            $of('one breath', 's', $this->a->seconds(), $this->b->seconds()),
            $of('breaths a minute', '', $this->a->rate(), $this->b->rate()),
            $of('exhale over inhale', '', $this->a->exhaleToInhale(), $this->b->exhaleToInhale()),
            $of('quiet share', '%', $this->a->quietShare() * 100, $this->b->quietShare() * 100),
        ];
    }
}
