<?php

declare(strict_types=1);

return [
    'title' => 'How it has gone',
    'part' => [
        'why' => 'What for', 'measures' => 'What has changed', 'practice' => 'What you have practised', 'programme' => 'Your practice now',
        'plan' => 'What comes next',
    ],
    'since' => '{0} You have begun breathing practice with us.|{1} You came to us on :since.|[2,*] You have come to us since :since, :count times so far.',
    'practised' => '{0} No practice of yours has come to us yet.|{1} You have practised once.|[2,*] You have practised :count times.',
    'share' => 'That is :percent % of what we had agreed.',
    'when' => ':name: :when.',
    'as-needed' => ':name: when you need it.',
    'ended' => 'This programme has ended. What helped you may go on helping: keep it up as long as you like.',
    'appointment' => 'We see each other on :when.',
    'signed' => ':name, :on',
];
