<?php

declare(strict_types=1);

use App\Http\Controllers\Sensor\PairController;
use App\Http\Controllers\Sensor\SamplesController;
use Illuminate\Support\Facades\Route;

// Version 1 of the addresses of devices in the room: docs/formats/device-stream.md. What is sent is lines of JSON.
Route::post('/pair', PairController::class);

Route::middleware('auth:sensor')->group(function () {
    Route::get('/recording', [SamplesController::class, 'now']);
    Route::prefix('/recordings/{uuid}')->where(['uuid' => '[0-9a-f-]{36}'])->group(function () {
        Route::put('/parts/{number}', [SamplesController::class, 'part'])->where('number', '\d{1,6}');
        Route::post('/done', [SamplesController::class, 'done']);
    });
});
