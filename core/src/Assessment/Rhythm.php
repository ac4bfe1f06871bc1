<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;

/** How a patient breathes unasked: by which way, how evenly, and how often it sighs. Common practice. */
final readonly class Rhythm
{
    private const ROUTES = ['nose', 'mouth', 'both'];

    /**
     * @param  string  $route  nose, mouth or both
     * @param  int  $sighs  sighs and yawns in 5 minutes, 0–50
     *
     * @throws InvalidValue
     */
    public function __construct(public string $route, public bool $isEven, public int $sighs)
    {
        if (! in_array($route, self::ROUTES, true)) {
            throw InvalidValue::because('Say by which way: nose, mouth or both.');
        }
        if ($sighs < 0 || $sighs > 50) {
            throw InvalidValue::because("$sighs sighs in 5 minutes is outside 0 to 50.");
        }
    }

    /** "by the nose, uneven, 3 sighs or yawns in 5 min". */
    public function inWords(): string
    {
        $way = $this->route === 'both' ? 'by nose and mouth' : "by the {$this->route}";
        $sighs = $this->sighs === 1 ? '1 sigh or yawn' : "{$this->sighs} sighs or yawns";

        return $way.', '.($this->isEven ? 'even' : 'uneven').", $sighs in 5 min";
    }
}
