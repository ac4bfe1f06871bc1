<?php

declare(strict_types=1);

use App\Http\Controllers\Patient\AccessController;
use App\Http\Controllers\Patient\CalendarController;
use App\Http\Controllers\Patient\DeviceController;
use App\Http\Controllers\Patient\MessagesController;
use App\Http\Controllers\Patient\OutboxController;
use App\Http\Controllers\Patient\PagesController;
use App\Http\Controllers\Patient\PinController;
use App\Http\Controllers\Patient\RecordingController;
use App\Http\Middleware\ScreenUnlocked;
use Illuminate\Support\Facades\Route;

// Version 1 of the patient's addresses. Everything speaks JSON.
Route::post('/access', [AccessController::class, 'store']);
Route::get('/me', [AccessController::class, 'show']);
Route::post('/turn', [AccessController::class, 'turn']);

// What has waited on a device is taken with its credential alone, also after it was signed out: then it is kept aside.
Route::post('/outbox', OutboxController::class);

Route::middleware('auth:device')->group(function () {
    Route::post('/consent', [AccessController::class, 'consent']);
    Route::post('/consent/declined', [AccessController::class, 'decline']);
    Route::post('/pin', [PinController::class, 'store']);
    Route::post('/unlock', [PinController::class, 'unlock']);
    Route::post('/lock', [PinController::class, 'lock']);
    Route::get('/as-needed', [PagesController::class, 'asNeeded']);
    // Numbers and words: nothing about the patient.
    Route::get('/voice', [PagesController::class, 'voice']);
    Route::get('/voice/{line}', [PagesController::class, 'voiceLine'])->where('line', '[a-z0-9.-]{1,60}');
    Route::middleware(ScreenUnlocked::class)->group(function () {
        foreach (['today', 'diary', 'progress', 'sheet'] as $page) {
            Route::get("/$page", [PagesController::class, $page]);
        }
        Route::get('/sheet.pdf', [PagesController::class, 'sheetPdf']);
        Route::get('/record.zip', [PagesController::class, 'record'])->middleware('throttle:6,1');
        Route::get('/devices', [DeviceController::class, 'index']);
        Route::get('/calendar', [CalendarController::class, 'show']);
        Route::post('/calendar', [CalendarController::class, 'store']);
        Route::delete('/calendar', [CalendarController::class, 'destroy']);
        Route::get('/calendar.ics', [CalendarController::class, 'file']);
        Route::get('/recordings/{uuid}', [RecordingController::class, 'show'])->where('uuid', '[0-9a-f-]{36}');
        Route::get('/traces', [RecordingController::class, 'traces']);
        Route::put('/traces', [RecordingController::class, 'say']);
        Route::get('/messages', [MessagesController::class, 'show']);
        Route::put('/messages', [MessagesController::class, 'update']);
        Route::put('/pin', [PinController::class, 'change']);
        Route::put('/devices/{id}', [DeviceController::class, 'update'])->where('id', '\d{1,15}');
        Route::delete('/devices/{id}', [DeviceController::class, 'destroy'])->where('id', '\d{1,15}');
    });
});
