<?php

declare(strict_types=1);

return [
    // Until a server is set, messages can be read in Clinic, Outbox. For a server: MAIL_MAILER=smtp with MAIL_HOST, MAIL_PORT,
    // MAIL_SCHEME, MAIL_USERNAME and MAIL_PASSWORD.
    'default' => env('MAIL_MAILER', 'outbox'),

    'mailers' => [
        'outbox' => ['transport' => 'outbox'],
        'array' => ['transport' => 'array'],
        'smtp' => [
            'transport' => 'smtp', 'scheme' => env('MAIL_SCHEME'), 'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587), 'username' => env('MAIL_USERNAME'), 'password' => env('MAIL_PASSWORD'), 'timeout' => 15,
        ],
    ],

    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'clinic@localhost.invalid'), 'name' => env('MAIL_FROM_NAME', 'Ivory Pace')],
];
