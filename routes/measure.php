<?php

declare(strict_types=1);

use App\Models\Clinic;
use Illuminate\Support\Facades\Route;
use Inertia\Inertia;

// The least that an answer can be, to compare with: only where the application is measured.
Route::middleware('auth:practitioner')->group(function () {
    Route::post('/measure/json', fn () => response()->json(Clinic::query()->select('id', 'name')->first()));
    Route::get('/measure/page', fn () => Inertia::render('Bare', []));
});
