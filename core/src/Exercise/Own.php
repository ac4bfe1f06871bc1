<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Phase;

/** What a clinic calls a counted breath of its own, what right looks like and what is said to its breaths, in its own words. */
final readonly class Own
{
    public const MAX_NAME = 40;

    public const MAX_RIGHT = 160;

    public const MAX_CUE = 30;

    /** Before words that are nobody's translation: they are shown and said as they are. */
    public const AS_IT_IS = 'own:';

    /**
     * @param  string  $in  said after "in", such as "as if smelling bread"; may be empty
     * @param  string  $out  said after "out"; may be empty
     */
    public function __construct(public string $name, public string $right, public string $in = '', public string $out = '')
    {
    }

    /** @return array<string, string> how a phase is done, by phase */
    public function hows(): array
    {
        $hows = array_filter([Phase::Inhale->value => $this->in, Phase::Exhale->value => $this->out], fn (string $words) => $words !== '');

        return array_map(fn (string $words) => self::AS_IT_IS.$words, $hows);
    }
}
