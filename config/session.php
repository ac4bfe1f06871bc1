<?php

declare(strict_types=1);

// What differs from Laravel's own settings: a sign-in ends after half an hour without a request, and with the browser.
return [
    'lifetime' => (int) env('SESSION_LIFETIME', 30),
    // However busy it is, a sign-in ends after so many hours.
    'most_hours' => (int) env('SESSION_MOST_HOURS', 12),
    'expire_on_close' => true,
    // Links shown once and what a refused form held stand in it.
    'encrypt' => true,
    'cookie' => 'ivory-pace-session',
    'secure' => (bool) env('SESSION_SECURE_COOKIE', true),
];
