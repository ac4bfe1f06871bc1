<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

/** What a sentence for the patient is about, in the order in which it is told. */
enum Part: string
{
    case Why = 'why';
    case Position = 'position';
    case Hands = 'hands';
    case With = 'with';
    case Breath = 'breath';
    case Eyes = 'eyes';
    case Right = 'right';
    case Felt = 'felt';
    case Stop = 'stop';
    case Steps = 'steps';
    case Length = 'length';
    case When = 'when';
    case Least = 'least';
    case End = 'end';
}
