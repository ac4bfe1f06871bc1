<?php

declare(strict_types=1);

// What a patient reads of a phone that feels the breath, and of the traces that it leaves.
return [
    'phone' => [
        'belly' => 'Put the phone on your belly',
        'chest' => 'Hold the phone to your chest',
        'why' => 'It feels how you breathe. Afterwards it says in one sentence how far you went along. It scores nothing.',
        'not-allowed' => 'The phone may not feel movement here. That is fine: practise without it.',
        'no-sense' => 'This device feels no movement. That is fine: practise without it.',
        'place-belly' => 'Lie down as for the practice. Lay the phone flat on your belly, just below the navel, screen up.',
        'place-chest' => 'Hold the phone flat against the middle of your chest, screen towards you.',
        'ear' => 'You are led by ear. To stop, press the screen anywhere and keep pressing.',
        'silent' => 'Without sound or voice you cannot follow with the phone on your belly. Turn the sound on in Settings first.',
        'ready' => 'It lies there', 'ready-chest' => 'I am holding it',
        'still' => 'Lie still for a moment …',
        'still-chest' => 'Hold still for a moment …',
        'breathe-in' => 'Breathe in now',
        'breathe-out' => 'and out',
        'without' => 'Practise without it',
        'lying' => 'Led by ear',
        'stop-hold' => 'Press and hold to stop',
        'stopping' => 'Keep pressing …',
        'reading' => 'What the phone felt is being read …',
        'later' => 'What the phone felt is read when you are online again. You will find it under My progress.',
        'own' => 'Your breath, inked over the one that led you',
    ],
    'followed' => [
        'all' => '{1} You followed the one breath:when.|[2,*] You followed all :of breaths:when.',
        'some' => '{1} You followed :n of :of breaths:when.|[2,*] You followed :n of :of breaths:when.',
        'none' => 'You breathed at a pace of your own.',
        'seen' => 'Of :all breaths the phone could feel :of.',
        'rate' => 'You breathed about :rate times a minute.',
        'nothing' => 'The phone could not feel your breath this time. It lies best just below the navel, screen up.',
        'in-time' => ', at the right moment',
        'late' => ', about :much late',
        'early' => ', about :much early',
        'halves' => ['1' => 'half a second', '2' => 'a second', '3' => 'one and a half seconds'],
        'seconds' => ':n seconds',
        'title' => 'What the phone felt',
    ],
    'traces' => [
        'title' => 'Traces of your breath',
        'text' => 'When a phone, a belt or a clip on the finger measures your breath or pulse, :clinic may keep its trace for 90 days, to look at it with you. After that only the numbers stay. You can say no, now or later: then a trace is removed as soon as its numbers are read.',
        'keep' => 'Traces may be kept for 90 days',
        'kept' => 'Traces may be kept. You can take this back here.',
        'gone' => 'No trace is kept. Those that were there are removed.',
        'when' => 'The trace says it was measured at a time that cannot be.',
        'broken' => 'The trace was damaged on its way and cannot be read.',
        'too-many' => 'There are too many traces for one day.',
    ],
];
