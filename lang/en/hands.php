<?php

declare(strict_types=1);

return [
    'chest-and-belly' => 'Lay one hand on your upper chest, one on your belly.',
    'belly' => 'Rest a hand on your belly.',
    'both-on-belly' => 'Rest both hands on your belly.',
    'belly-and-ribs' => 'Lay one hand on your belly, one on your lower ribs.',
    'lower-ribs' => 'Lay your hands on your lower ribs.',
    'sides' => 'Lay your hands on the sides of your body.',
    'belly-and-ease' => 'Rest one hand on your belly, the other at ease.',
    'round-the-ribs' => 'Hold your lower ribs, thumbs at the back.',
    'leading-ribs' => 'With your hands, guide the lower ribs in as you breathe out.',
    'press-lower-ribs' => 'Press your lower ribs lightly with both hands.',
    'ears-closed' => 'Close your ears lightly with your thumbs.',
    'fold-two-fingers' => 'Fold two fingers of your right hand. Thumb and ring finger close the nose.',
    'as-you-like' => 'Rest your hands where they are at ease.',
    'in-the-lap' => 'Rest your hands in your lap.',
    'on-the-knees' => 'Rest your hands on your knees.',
    'beside-you' => 'Rest your arms beside you.',
    'hang' => 'Let your arms hang.',
    'swing' => 'Let your arms swing.',
    'under-forehead' => 'Rest your head on the backs of your hands.',
    'elbows-on-knees' => 'Rest your elbows on your knees.',
    'on-the-table' => 'Rest your arms on the table, head on your arms if you like.',
    'forearms-on-wall' => 'Lean your forearms on the wall, head on your arms.',
    'on-the-floor' => 'Put your hands on the floor under your shoulders.',
];
