<?php

declare(strict_types=1);

return [
    'pillow-under-knees' => 'a pillow for your knees',
    'pillow-under-head' => 'a low pillow',
    'wedge' => 'a wedge or a pile of pillows',
    'chair-with-back' => 'a chair with a back',
    'cushion-to-sit-on' => 'a cushion or block to sit on',
    'rolled-towel' => 'a rolled towel',
    'low-back-support' => 'a small cushion for your low back',
    'blanket' => 'a blanket',
    'mirror' => 'a mirror',
    'strap' => 'a strap or band',
    'straw' => 'a straw',
    'tissue' => 'a paper tissue',
    'weight' => 'a book or block of :kg kg',
];
