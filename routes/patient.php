<?php

declare(strict_types=1);

use App\Http\Controllers\Patient\AccessController;
use App\Http\Controllers\Patient\AskedFormController;
use App\Http\Controllers\Patient\DiaryController;
use App\Http\Controllers\Patient\PinController;
use App\Http\Controllers\Patient\PracticeController;
use App\Http\Controllers\Patient\TodayController;
use App\Http\Middleware\ScreenUnlocked;
use Illuminate\Support\Facades\Route;

// Version 1 of the patient's addresses. Everything speaks JSON.
Route::post('/access', [AccessController::class, 'store']);
Route::get('/me', [AccessController::class, 'show']);

Route::middleware('auth:device')->group(function () {
    Route::post('/consent', [AccessController::class, 'consent']);
    Route::post('/pin', [PinController::class, 'store']);
    Route::post('/unlock', [PinController::class, 'unlock']);
    Route::post('/lock', [PinController::class, 'lock']);
    // A practice is delivered with the device's credential alone: it may have waited for days.
    Route::post('/practices', [PracticeController::class, 'store']);
    Route::middleware(ScreenUnlocked::class)->group(function () {
        Route::get('/today', TodayController::class);
        Route::get('/diary', [DiaryController::class, 'show']);
        Route::put('/diary/{day}', [DiaryController::class, 'update'])->where('day', '[0-9-]{10}');
        Route::get('/forms/{form}', [AskedFormController::class, 'show']);
        Route::put('/forms/{form}', [AskedFormController::class, 'update']);
    });
});
