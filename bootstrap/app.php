<?php

declare(strict_types=1);

use App\Guard\DeviceGuard;
use App\Guard\OurHosts;
use App\Guard\Problems;
use App\Http\Controllers\UpController;
use App\Http\Middleware\FromOurPages;
use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\KeepsSealedCookies;
use App\Http\Middleware\ReadableText;
use App\Http\Middleware\RenewDeviceCookie;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SettlesConflicts;
use App\Http\Middleware\SpeaksToThePatient;
use App\Http\Middleware\StartSession;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\StartSession as LaravelsStartSession;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        then: function (Application $app): void {
            Route::get('/up', UpController::class);
            Route::middleware(EncryptCookies::class)->group(__DIR__.'/../routes/shell.php');
            Route::middleware('patient')->prefix('api/v1')->group(__DIR__.'/../routes/patient.php');
            Route::middleware('sensor')->prefix('api/v1/sensor')->group(__DIR__.'/../routes/sensor.php');
            if ($app->environment('e2e')) {
                Route::middleware('web')->group(__DIR__.'/../routes/measure.php');
            }
        },
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Only programs on this machine reach the port: a proxy that ends TLS, if there is one.
        $middleware->trustProxies(at: ['127.0.0.1', '::1']);
        $middleware->trustHosts(at: fn () => OurHosts::patterns(), subdomains: false);
        // First of all: what trims texts would make nothing out of one that cannot be read.
        $middleware->prepend([SecurityHeaders::class, ReadableText::class]);
        $middleware->web(
            append: [SettlesConflicts::class, SubstituteBindings::class, HandleInertiaRequests::class],
            replace: [LaravelsStartSession::class => StartSession::class],
            remove: [SubstituteBindings::class],
        );
        $middleware->group('patient', [
            KeepsSealedCookies::class,
            EncryptCookies::class,
            AddQueuedCookiesToResponse::class,
            RenewDeviceCookie::class,
            SpeaksToThePatient::class,
            FromOurPages::class,
            SettlesConflicts::class,
            SubstituteBindings::class,
        ]);
        $middleware->group('sensor', [SettlesConflicts::class, SubstituteBindings::class, 'throttle:sensor']);
        // Who comes by the bare address with a patient's device means their practice.
        $middleware->redirectGuestsTo(
            fn (Request $request) => $request->is('/') && DeviceGuard::deviceOf($request) !== null ? '/my' : '/sign-in',
        );
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Problems::register($exceptions);
    })->create();
