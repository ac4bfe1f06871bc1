<?php

declare(strict_types=1);

// What went wrong and what to do, by the status of the answer.
return [
    401 => ['title' => 'Please sign in', 'text' => 'You have been signed out. What you typed is still on the page.'],
    403 => ['title' => 'Not yours to open', 'text' => 'This belongs to another clinic or needs another sign-in.'],
    404 => ['title' => 'Nothing here', 'text' => 'There is no such page, or it is not yours to open.'],
    405 => ['title' => 'Nothing here', 'text' => 'This address cannot be opened like that.'],
    419 => ['title' => 'Signed out meanwhile', 'text' => 'Your sign-in ended while the page was open. What you typed is still there; sign in again, then go on.'],
    410 => ['title' => 'No longer taken', 'text' => 'It is too late for this. Nothing was stored.'],
    413 => ['title' => 'Too large', 'text' => 'This is larger than what is taken here. Nothing was stored.'],
    415 => ['title' => 'Not understood', 'text' => 'This was sent in a form that is not read here.'],
    422 => ['title' => 'Could not be read', 'text' => 'Something in it could not be read or is out of range. Nothing was stored, and what you typed is still on the page: look through it and try again.'],
    423 => ['title' => 'Locked', 'text' => 'Type your PIN first.'],
    429 => ['title' => 'Too many tries', 'text' => 'Wait a few minutes, then try again.'],
    500 => ['title' => 'Something broke', 'text' => 'It is not your doing. Nothing was half-stored. Try again; if it stays, tell whoever runs this installation.'],
    503 => ['title' => 'The records cannot be reached', 'text' => 'The database does not answer. Nothing was stored, and what you typed is still on the page. Try again in a minute.'],
    'not-known' => 'This device is not known.',
    'signed-out' => 'This device is signed out.',
    'our-pages' => 'This address is for the pages of Ivory Pace only.',
    'only-json' => 'A device sends JSON.',
    'pin' => 'Type your PIN first.',
];
