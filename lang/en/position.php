<?php

declare(strict_types=1);

return [
    'supine' => 'Lie on your back.',
    'supine-knees-bent' => 'Lie on your back, knees bent, feet flat.',
    'reclined' => 'Lie back at a slant, well supported.',
    'side-lying' => 'Lie on your side, knees a little bent.',
    'prone' => 'Lie on your front, forehead on your hands.',
    'seated' => 'Sit with both feet on the floor, back long and at ease.',
    'seated-forward' => 'Sit and lean forward, elbows on your knees.',
    'standing' => 'Stand with your feet under your hips.',
    'standing-at-wall' => 'Stand with your back against a wall.',
    'kneeling' => 'Kneel, sitting back on your heels.',
    'hands-and-knees' => 'Go down on hands and knees, back level.',
    'folded-forward' => 'Fold forward over your knees.',
    'walking' => 'Walk at your own pace, where it is safe.',
];
