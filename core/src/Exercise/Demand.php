<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** What a technique asks of body and mind beside breathing: what safety rules look at. */
enum Demand: string
{
    case ClosesNostril = 'closes-nostril';
    /** The attention is led through the body, part by part. */
    case ScansBody = 'scans-body';
    /** The attention rests on the breath or the body. */
    case LooksInward = 'looks-inward';
    case Tenses = 'tenses';
    case TurnsHead = 'turns-head';
    case RollsShoulders = 'rolls-shoulders';
    /** By the hands that are prescribed. */
    case PressesRibs = 'presses-ribs';
}
