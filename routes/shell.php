<?php

declare(strict_types=1);

use App\Http\Controllers\Calendar\FeedController;
use App\Http\Controllers\Patient\ShellController;
use App\Http\Controllers\Patient\StopMessagesController;
use Illuminate\Support\Facades\Route;

// The patient's side is one page; what it shows comes from the addresses in routes/patient.php. The access token
// stands behind the # of the link, so it never reaches a log, and opening the link changes nothing. There is no session here,
// so the page comes also while the database is away.
Route::get('/enter', ShellController::class);
Route::get('/worker.js', [ShellController::class, 'worker']);
// Read by calendars, which sign in nowhere: the address is the secret.
Route::get('/calendar/{token}.ics', FeedController::class)->where('token', '[A-Za-z0-9]{40,64}')->middleware('throttle:120,1');
Route::where(['token' => '[0-9a-z]{26}-[0-9a-f]{32}'])->middleware('throttle:60,1')->group(function () {
    Route::get('/messages/{token}', [StopMessagesController::class, 'show']);
    Route::post('/messages/{token}', [StopMessagesController::class, 'stop']);
});
Route::get('/my/{any?}', ShellController::class)->where('any', '.*');
