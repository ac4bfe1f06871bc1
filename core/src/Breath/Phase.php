<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/** The parts of one breath, in the order in which they are breathed. */
enum Phase: string
{
    case Inhale = 'inhale';
    case TopUp = 'top-up';
    case Hold = 'hold';
    case Exhale = 'exhale';
    case Rest = 'rest';

    public function cueKind(): CueKind
    {
        return CueKind::from($this->value);
    }
}
