<?php

declare(strict_types=1);

return [
    'symptom' => [
        'dizziness' => 'Dizzy',
        'tingling' => 'Tingling or numb fingers or face',
        'cramp' => 'A cramp',
        'breathlessness' => 'Getting more breathless',
        'panic' => 'Panic rising',
        'unreal' => 'Feeling unreal',
        'chest-pain' => 'Chest pain',
        'fainting' => 'Fainting, or about to',
        'confusion' => 'Confused',
        'weakness' => 'Weak on one side',
        'palpitations' => 'Heart pounding that goes on',
        'headache' => 'A sudden, severe headache',
        'breathlessness-stays' => 'Breathless, and it does not settle',
        'numb-side' => 'Numb on one side',
        'slurred-speech' => 'Speech slurred',
        'seizure' => 'A seizure',
        'loss-of-sight' => 'Sight lost or half gone',
        'something-else' => 'Something else',
    ],
];
