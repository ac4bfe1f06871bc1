<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

enum Side: string
{
    case Left = 'left';
    case Right = 'right';
    case None = 'none';
}
