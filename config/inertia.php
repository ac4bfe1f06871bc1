<?php

declare(strict_types=1);

return [
    // What pages showed stands encrypted in the browser's history; signing out throws the key away.
    'history' => ['encrypt' => true],
    'pages' => [
        'ensure_pages_exist' => false,
        'paths' => [resource_path('js/pages'), resource_path('js/pages/door')],
        'extensions' => ['svelte'],
    ],
];
