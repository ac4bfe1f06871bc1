<?php

declare(strict_types=1);

// What differs from Laravel's own settings: a sign-in ends after half an hour without a request, and with the browser.
return [
    'lifetime' => (int) env('SESSION_LIFETIME', 30),
    'expire_on_close' => true,
    'cookie' => 'ivory-pace-session',
    'secure' => (bool) env('SESSION_SECURE_COOKIE', true),
];
