<?php

declare(strict_types=1);

return [
    'supine' => 'Lie on your back.',
    'supine-knees-bent' => 'Lie on your back, knees bent, feet flat.',
    'reclined' => 'Lie back at a slant, well held.',
    'side-lying' => 'Lie on your side, knees a little bent.',
    'prone' => 'Lie on your front.',
    'seated' => 'Sit with both feet on the floor, back long and at ease.',
    'cross-legged' => 'Sit with your legs crossed, back long and at ease.',
    'seated-forward' => 'Sit and lean forward.',
    'seated-at-table' => 'Sit at a table and lean forward.',
    'standing' => 'Stand with your feet under your hips.',
    'standing-at-wall' => 'Stand with your back against a wall.',
    'facing-wall' => 'Stand facing a wall and lean on it.',
    'kneeling' => 'Kneel, sitting back on your heels.',
    'hands-and-knees' => 'Go down on hands and knees, back level.',
    'folded-forward' => 'Fold forward over your knees.',
    'childs-pose' => 'Kneel, sit on your heels and fold down to the floor.',
    'walking' => 'Walk at your own pace, where it is safe.',
];
