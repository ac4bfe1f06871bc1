<?php

declare(strict_types=1);

use App\Models\Practitioner;

// Two kinds of people and one of things, three guards that never meet: practitioners sign in with e-mail and password, a
// patient's device with the credential that it was given, a sensor of the room with its token (see AppServiceProvider).
return [
    'defaults' => [
        'guard' => 'practitioner',
        'passwords' => 'practitioners',
    ],

    'guards' => [
        'practitioner' => ['driver' => 'session', 'provider' => 'practitioners'],
        'device' => ['driver' => 'device-credential'],
        'sensor' => ['driver' => 'sensor-token'],
    ],

    'providers' => [
        'practitioners' => ['driver' => 'eloquent', 'model' => Practitioner::class],
    ],

    // Minutes that a link for a new password works, and seconds before another is sent.
    'passwords' => [
        'practitioners' => ['provider' => 'practitioners', 'table' => 'password_reset_tokens', 'expire' => 30, 'throttle' => 60],
    ],
];
