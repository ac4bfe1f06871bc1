<?php

declare(strict_types=1);

// What differs from Laravel's own settings: MariaDB is the only database, and it speaks UTC.
$mariadb = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '3306'),
    // Where it is several nodes: host:port of each, with commas, in the same order on every machine.
    'nodes' => env('DB_NODES'),
    'database' => env('DB_DATABASE', 'ivory_pace'),
    'username' => env('DB_USERNAME', 'ivory_pace'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'strict' => true,
    'timezone' => '+00:00',
    // One way to the server for each query instead of two. Values are bound as before; a query is never more than one statement.
    'options' => [PDO::ATTR_EMULATE_PREPARES => true, PDO::MYSQL_ATTR_MULTI_STATEMENTS => false],
];

return [
    'default' => env('DB_CONNECTION', 'mariadb'),

    'connections' => [
        'mariadb' => $mariadb,
        // What is counted against guessing stays counted when the request that is refused takes everything else back.
        'beside' => $mariadb,
    ],
];
