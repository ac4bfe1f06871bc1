<?php

declare(strict_types=1);

return [
    'version' => 'Sheet :number, from :from, to be looked at together by :review',
    'goal' => 'What for: :goal',
    'needs' => 'You need: :things.',
    'about' => 'about',
    'short' => 'On a bad day at least :short. That counts in full.',
    'minutes' => ':minutes min',
    'needed' => 'as needed',
    'length' => [
        'breaths' => '{1} 1 breath|[0,*] :count breaths',
        'rounds' => '{1} 1 round|[0,*] :count rounds',
    ],
    'ridge' => [
        'inhale' => 'in',
        'exhale' => 'out',
        'top-up' => 'top-up',
        'hold' => 'hold',
        'hum' => 'hum',
        'rest' => 'rest',
        'retention' => 'retention',
        'release' => 'release',
        'open' => ':name, as long as easy',
        'seconds' => ':name :seconds s',
        'counts' => ':name :counts',
    ],
    'tally' => 'A stroke for each practice',
    'stop-title' => 'Stop',
    'stop' => 'when you get dizzy, fingers or face tingle, something cramps, breath gets shorter, panic rises or things feel unreal. Sit, let the breath go its own way, eyes open, feet on the floor. Stopping counts in full; note it here and tell your practitioner.',
    'help-title' => 'Get help',
    'help' => 'for chest pain, fainting, confusion, weakness or numbness on one side, slurred speech, a seizure, loss of sight, a heart that goes on racing, a new severe headache, or breathlessness that does not settle.',
    'feels' => 'What may be felt and is harmless: :what',
    'holds' => 'Where nothing moves, shorter is fine. Breathe as soon as you want to.',
    'slight-careful' => 'Boredom, irritation or more awareness of tension in the first days is common and passes. If you get light-headed for more than a few breaths, stop.',
    'slight' => 'A little light-headedness, boredom, irritation or more awareness of tension in the first days is common and passes.',
    'licence' => 'This sheet goes with what you agreed with your practitioner; it does not replace their advice.',
];
