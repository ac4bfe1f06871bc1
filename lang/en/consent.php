<?php

declare(strict_types=1);

return [
    ['title' => 'What is kept', 'text' => 'When you practise and how far you get, the numbers from 0 to 10 that you give before and after, what you write, and a symptom when you stop for one.'],
    ['title' => 'Who sees it', 'text' => 'The practitioners of :clinic who look after you. Nobody else, and no company reads along.'],
    ['title' => 'How long', 'text' => 'As long as :clinic must keep your record by law. You can ask there for a copy, or to have it removed.'],
    ['title' => 'Nobody is watching', 'text' => 'This is not an emergency service. What you write is seen when your practitioner next opens it. When you are worried, call; when it is urgent, call your local emergency number.'],
    ['title' => 'Practise where it is safe', 'text' => 'Never while driving, in or near water, or where dizziness could make you fall. A little light-headedness in the first days can happen and passes. Stop at any time.'],
    ['title' => 'You can change your mind', 'text' => 'Tell :clinic, and nothing more is recorded. This does not change how you are looked after.'],
];
