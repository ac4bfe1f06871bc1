<?php

declare(strict_types=1);

return [
    'pillow-under-knees' => 'a pillow under your knees',
    'pillow-under-head' => 'a low pillow under your head',
    'wedge' => 'a wedge or stacked pillows behind you',
    'chair-with-back' => 'a chair with a back',
    'blanket' => 'a blanket',
    'mirror' => 'a mirror in front of you',
];
