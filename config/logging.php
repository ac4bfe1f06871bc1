<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'daily'),

    'channels' => [
        // A file a day, for two weeks, for nobody but the application and its group.
        'daily' => [
            'driver' => 'daily', 'path' => storage_path('logs/ivory-pace.log'), 'level' => env('LOG_LEVEL', 'warning'), 'days' => 14,
            'permission' => 0640, 'replace_placeholders' => true,
        ],
    ],
];
