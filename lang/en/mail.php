<?php

declare(strict_types=1);

// What patients are sent; never how they are.
return [
    'title' => 'Your home practice',
    'intro' => ':clinic has made a page for your home practice. Open this address on the device on which you want to practise; it works once, for :days days:',
    'not-you' => 'If you do not know why you get this, do nothing, or tell the clinic.',
    'appointment' => [
        'made' => 'An appointment at :clinic', 'moved' => 'Your appointment at :clinic is at another time', 'another' => 'Your appointment at :clinic is with somebody else',
        'cancelled' => 'Your appointment at :clinic does not take place', 'tomorrow' => 'Tomorrow: your appointment at :clinic',
    ],
    'with' => 'With :name:', 'telephone' => 'If that does not suit you, call :number.',
    'stop' => 'No more messages like this:',
];
