<?php

declare(strict_types=1);

return [
    'time' => [
        'waking' => 'on waking',
        'breaks' => 'in breaks and idle moments',
        'meals' => 'before meals',
        'evening' => 'in the evening',
        'lights-out' => 'at lights out',
        'anytime' => 'at any time',
        'when-needed' => 'when you need it',
    ],
    'feels' => [
        'heavy' => 'Arms and legs may feel heavy.',
        'warmth' => 'A little warmth in hands or chest.',
        'yawning' => 'Yawns and sighs may come.',
        'sigh' => 'It may feel like a deep sigh.',
        'odd-at-first' => 'It may feel odd or too small at first.',
        'light-at-first' => 'A little light-headed in the first days; it passes.',
        'restless' => 'Boredom or restlessness may come and go.',
        'drowsy' => 'You may get drowsy.',
        'buzzing' => 'Lips and face may buzz.',
        'stretch' => 'A mild stretch between the ribs or in the neck.',
        'cough' => 'A cough may loosen.',
        'dry-lips' => 'Lips may get dry.',
        'deeper-breath' => 'Your breath may get a little deeper as you walk.',
        'one-side-narrower' => 'One side of the nose is often narrower than the other.',
        'slow-return' => 'Breath may take a few minutes to come back.',
    ],
    'school' => [
        'ratio-practice' => 'The belly moves first; the ratio matters more than the size.',
        'rib-mechanics' => 'The ribs widen on all sides and come back.',
        'contemplative' => 'However the breath moves is right; you notice it.',
    ],
    'diaphragmatic' => [
        'name' => 'Low, easy breathing',
        'right' => [
            'belly-first' => 'The belly hand moves first and most.',
            'belly-first-otherwise' => 'The belly moves first and most.',
            'chest-quiet' => 'The chest hand stays quiet, but not stiff.',
            'chest-quiet-otherwise' => 'The upper chest stays quiet, but not stiff.',
            'shoulders-low' => 'Your shoulders stay low.',
        ],
        'mistake' => [
            'big-breaths' => 'Taking big breaths.',
            'lifted-shoulders' => 'Lifting the shoulders.',
            'pushing-out' => 'Pushing the belly out.',
        ],
        'attend' => [
            'belly-hand' => 'Feel the belly hand rise and sink.',
            'belly-hand-otherwise' => 'Feel the belly rise and sink.',
            'chest-hand' => 'Let the chest hand stay quiet.',
            'chest-hand-otherwise' => 'Let the upper chest stay quiet.',
            'shoulders' => 'Let your shoulders be heavy.',
            'size' => 'Small is enough. Let the breath come.',
        ],
    ],
    'extended-exhale' => [
        'name' => 'Longer breath out',
        'name-otherwise' => 'A counted breath',
        'right' => [
            'chest-quiet' => 'Shoulders low, upper chest quiet.',
            'unhurried' => 'The breath out takes its time and is never squeezed.',
        ],
        'mistake' => [
            'squeezing' => 'Squeezing to reach the number.',
        ],
    ],
    'even' => [
        'name' => 'Even breath',
        'name-otherwise' => 'A breath that grows',
        'right' => [
            'smooth' => 'Each breath is smooth from end to end.',
        ],
        'mistake' => [
            'chasing' => 'Chasing the number.',
        ],
    ],
    'stepped-even' => [
        'name' => 'Even breath, step by step',
        'right' => [
            'noted' => 'Whatever you feel is noticed, pleasant or not.',
        ],
        'mistake' => [
            'trying' => 'Trying to feel calm.',
        ],
    ],
    'double-exhale' => [
        'name' => 'Out twice as long',
        'name-otherwise' => 'Your own counted breath out',
        'right' => [
            'own-speed' => 'It goes at your own speed.',
        ],
        'mistake' => [
            'copying' => 'Copying someone else’s speed.',
        ],
    ],
    'long-exhale' => [
        'name' => 'Long breath out',
        'name-otherwise' => 'A counted breath, then free',
        'right' => [
            'silent' => 'No sound in the throat.',
        ],
        'mistake' => [
            'throat' => 'A narrowed, noisy throat.',
        ],
        'attend' => [
            'hands' => 'Breathe as it comes. Feel both hands.',
            'hands-otherwise' => 'Breathe as it comes. Feel what moves.',
            'which-moves' => 'Which hand moves first, and which more?',
            'which-moves-otherwise' => 'What moves first, and what moves more?',
        ],
    ],
    'pursed-exhale' => [
        'name' => 'Out through pursed lips',
        'right' => [
            'top-hand-quiet' => 'The upper hand stays quiet.',
            'top-hand-quiet-otherwise' => 'The upper chest stays quiet.',
        ],
        'mistake' => [
            'puffed-cheeks' => 'Puffed cheeks.',
        ],
    ],
    'soft-exhale' => [
        'name' => 'A soft stream out',
        'right' => [
            'stream-even' => 'The stream stays thin and even.',
        ],
        'mistake' => [
            'blowing' => 'Blowing.',
        ],
    ],
    'in-hold-out' => [
        'name' => 'In, hold, out',
        'right' => [
            'soft-hold' => 'The hold is soft, nothing locks.',
        ],
        'mistake' => [
            'locking' => 'Locking the throat or the shoulders.',
        ],
    ],
    'three-part' => [
        'name' => 'Three, three, six',
        'name-otherwise' => 'In, hold and out',
        'right' => [
            'heavier' => 'The body gets heavier with each breath out.',
        ],
        'mistake' => [
            'counting-hard' => 'Working hard at the count.',
        ],
    ],
    'four-seven-eight' => [
        'name' => 'Four, seven, eight',
        'name-otherwise' => 'In, hold and a long breath out',
        'right' => [
            'tongue' => 'The tip of the tongue rests behind the upper front teeth all the time.',
            'proportions' => 'The proportions matter more than the seconds.',
            'proportions-otherwise' => 'Short and easy counts are fine.',
        ],
        'mistake' => [
            'tongue-drops' => 'The tongue drops.',
            'throat-locks' => 'The throat locks.',
        ],
    ],
    'square' => [
        'name' => 'Four equal sides',
        'name-otherwise' => 'Four sides',
        'right' => [
            'equal' => 'All four sides are equally long.',
            'equal-otherwise' => 'Each side is as long as its count.',
        ],
        'mistake' => [
            'last-side' => 'The last side gets lost.',
        ],
    ],
    'double-inhale' => [
        'name' => 'A second sip of air',
        'name-otherwise' => 'In, and a long breath out',
        'right' => [
            'small-quick' => 'The second breath in is small and quick.',
        ],
        'mistake' => [
            'fast' => 'Letting it become fast breathing.',
        ],
    ],
    'alternate-nostril' => [
        'name' => 'One side, then the other',
        'right' => [
            'longer-out' => 'Out is longer than in, and quiet.',
            'longer-out-otherwise' => 'The breath out is quiet.',
        ],
        'mistake' => [
            'order' => 'Losing the order of the sides.',
        ],
    ],
    'walking' => [
        'name' => 'Breathing by steps',
        'right' => [
            'able-to-talk' => 'You could talk all the time.',
        ],
        'mistake' => [
            'hurrying' => 'Hurrying to keep up.',
        ],
    ],
    'weight-on-belly' => [
        'name' => 'A weight on the belly',
        'right' => [
            'rises-and-sinks' => 'The weight rises as you breathe in and sinks as you breathe out.',
            'slows' => 'It slows of its own accord.',
        ],
        'mistake' => [
            'pushed-up' => 'Pushing it up.',
        ],
        'attend' => [
            'watch' => 'Watch the weight rise.',
            'sinks' => 'Let it sink. Nothing to press.',
            'by-itself' => 'The breath finds its own pace.',
        ],
    ],
    'humming' => [
        'name' => 'Humming out',
        'right' => [
            'vibration' => 'You feel it vibrate.',
            'longer-out' => 'The hum is longer than the breath in.',
            'longer-out-otherwise' => 'The hum stays easy.',
        ],
        'mistake' => [
            'to-the-last' => 'Humming to the last of the air.',
        ],
    ],
    'prone' => [
        'name' => 'Breathing into the floor',
        'right' => [
            'trunk-widens' => 'The whole trunk widens.',
        ],
        'mistake' => [
            'neck-twisted' => 'A twisted neck.',
        ],
        'attend' => [
            'belly-floor' => 'Feel the belly meet the floor.',
            'low-back' => 'The low back rises a little.',
            'sides' => 'The sides widen too.',
        ],
    ],
    'ribs-down' => [
        'name' => 'Heavy ribs',
        'right' => [
            'pelvis-still' => 'The pelvis stays still.',
            'curve-stays' => 'The low back keeps its natural curve.',
        ],
        'mistake' => [
            'back-pressed' => 'Pressing the low back flat.',
        ],
        'attend' => [
            'ribs-heavy' => 'Let the lower ribs be heavy.',
            'thin-gap' => 'A thin gap stays under the low back.',
            'low' => 'The breath goes low.',
        ],
    ],
    'full-exhale' => [
        'name' => 'Wide in, all the way out',
        'right' => [
            'ribs-close' => 'The ribs close at the end.',
        ],
        'mistake' => [
            'straining' => 'Straining.',
            'coughing' => 'Going on until a cough.',
        ],
    ],
    'own' => [
        'name' => 'Your counted breath',
        'right' => [
            'as-agreed' => 'It goes as you tried it together, and stays easy.',
        ],
        'mistake' => [
            'chasing' => 'Chasing the number.',
        ],
    ],
    'rib-release' => [
        'name' => 'Ribs wide, then hum the rest',
        'right' => [
            'widen-and-return' => 'The ribs widen into your hands and come back.',
            'widen-and-return-otherwise' => 'The ribs widen and come back.',
        ],
        'mistake' => [
            'shoulders-rise' => 'The shoulders rise.',
            'passive-pushed' => 'Pushing the first part of the breath out.',
        ],
    ],
    'rounds-retention' => [
        'name' => 'Rounds with a long pause',
        'right' => [
            'belly-then-chest' => 'Belly first, then chest, in an even flow.',
            'no-strain' => 'The pause is easy; breathe earlier whenever you want to.',
        ],
        'mistake' => [
            'pushing-retention' => 'Forcing the pause to its end.',
            'fast-breaths' => 'Letting the breaths become fast.',
        ],
    ],
    'tense-release' => [
        'name' => 'Tense and let go',
        'right' => [
            'difference' => 'You notice the difference between tense and loose.',
        ],
        'mistake' => [
            'too-hard' => 'Tensing so hard that it hurts.',
            'holding-breath' => 'Holding the breath while tense.',
        ],
    ],
    'body-scan' => [
        'name' => 'Through the body',
        'right' => [
            'moves-on' => 'Your attention moves on when the next part comes, whatever you felt.',
        ],
        'mistake' => [
            'forcing' => 'Trying to feel something that is not there.',
        ],
    ],
    'reverse-count' => [
        'name' => 'Counting down',
        'right' => [
            'one-by-one' => 'One number at a time; the breath goes its own way.',
        ],
        'mistake' => [
            'speeding-up' => 'Getting faster towards the end.',
        ],
    ],
    'noticing' => [
        'name' => 'Noticing the breath',
        'right' => [
            'nothing-changed' => 'You watch and change nothing.',
        ],
        'mistake' => [
            'steering' => 'Steering the breath.',
        ],
        'attend' => [
            'pace' => 'Is the breath fast or slow just now?',
            'evenness' => 'Is it even, or does it change?',
            'route' => 'Does it come by the nose or the mouth?',
            'what-moves' => 'What moves: belly, ribs, chest?',
        ],
    ],
    'forward-lean' => [
        'name' => 'When breath is short',
        'right' => [
            'out-first' => 'Out comes first, through the lips.',
            'shoulders-supported' => 'Your arms carry the weight of your shoulders.',
            'shoulders-supported-otherwise' => 'The wall carries your back.',
        ],
        'mistake' => [
            'big-inhale' => 'Gulping a big breath in.',
        ],
    ],
    'neck-release' => [
        'name' => 'Slow head turns',
        'right' => [
            'small-slow' => 'Small and slow, head supported.',
            'small-slow-otherwise' => 'Small and slow.',
        ],
        'mistake' => [
            'into-pain' => 'Going into pain.',
        ],
        'attend' => [
            'right' => 'Turn your head a little to the right.',
            'middle' => 'Back to the middle.',
            'left' => 'A little to the left.',
            'nod' => 'A small nod, chin towards the throat.',
            'long-neck' => 'Let the back of the neck be long.',
        ],
    ],
    'shoulder-rolls' => [
        'name' => 'Shoulder rolls',
        'right' => [
            'with-breath' => 'The shoulders follow the breath.',
        ],
        'mistake' => [
            'jerking' => 'Jerking.',
        ],
        'attend' => [
            'up' => 'Breathe in, shoulders up.',
            'down' => 'Breathe out, back and down.',
        ],
    ],
];
