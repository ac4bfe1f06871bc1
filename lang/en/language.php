<?php

declare(strict_types=1);

// What this folder is: its name, as people who speak it call it.
return [
    'name' => 'English',
];
