<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),

    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'database' => ['driver' => 'database', 'connection' => 'beside', 'table' => 'cache', 'lock_connection' => 'beside'],
    ],
];
