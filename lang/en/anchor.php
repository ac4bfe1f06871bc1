<?php

declare(strict_types=1);

return [
    'waking' => 'On waking',
    'before-breakfast' => 'Before breakfast',
    'breakfast' => 'After breakfast',
    'mid-morning' => 'Mid-morning',
    'lunch' => 'Before lunch',
    'afternoon' => 'Mid-afternoon',
    'way-home' => 'On the way home',
    'evening-meal' => 'Before the evening meal',
    'evening' => 'In the evening',
    'lights-out' => 'Lights out',
    'own' => 'Your own habit',
];
