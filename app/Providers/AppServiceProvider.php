<?php

declare(strict_types=1);

namespace App\Providers;

use App\Facts\Caseload\NoteWords;
use App\Guard\DeviceGuard;
use App\Guard\Nodes\ComesBack;
use App\Guard\Nodes\FirstReady;
use App\Guard\Nodes\NodesConnection;
use App\Guard\SensorGuard;
use App\Guard\Trail;
use App\Mail\OutboxTransport;
use App\Models\CareSession;
use App\Models\Clinic;
use App\Models\NoteAmendment;
use App\Models\OwnExercise;
use App\Models\OwnQuestionnaire;
use App\Models\OwnRoutine;
use App\Models\OwnTemplate;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\SessionNote;
use App\Policies\OwnWorkPolicy;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\MariaDbConnection;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** Of whose rows the trail keeps what was and what became. */
    private const FOLLOWED = [
        Patient::class, Clinic::class, Practitioner::class, OwnExercise::class, OwnRoutine::class, OwnTemplate::class,
        OwnQuestionnaire::class,
    ];

    public function register(): void
    {
        $this->app->scoped(Trail::class);
        $this->app->bind('db.connector.mariadb', FirstReady::class);
        Connection::resolverFor('mariadb', function (Closure $pdo, string $database, string $prefix, array $config): MariaDbConnection {
            $isOneOfSeveral = FirstReady::in($config['nodes'] ?? null) !== [];

            return $isOneOfSeveral ? new NodesConnection($pdo, $database, $prefix, $config)
                : new MariaDbConnection($pdo, $database, $prefix, $config);
        });
    }

    /** A signed note is found by its words. */
    private static function find(CareSession $session, string $text): void
    {
        NoteWords::keep($session->patient_id, $session->patient->clinic_id, $text);
    }

    public function boot(): void
    {
        foreach (self::FOLLOWED as $model) {
            $model::updating(fn (Model $row) => app(Trail::class)->changing($row));
        }
        Patient::created(fn (Patient $patient) => app(Trail::class)->of($patient));
        SessionNote::created(fn (SessionNote $note) => self::find($note->careSession, $note->text));
        NoteAmendment::created(fn (NoteAmendment $added) => self::find($added->note->careSession, $added->text));
        Date::use(CarbonImmutable::class);
        Model::shouldBeStrict(! $this->app->environment('demo', 'production'));
        Auth::viaRequest('device-credential', fn (Request $request) => DeviceGuard::deviceOf($request));
        Auth::viaRequest('sensor-token', fn (Request $request) => SensorGuard::sensorOf($request));
        RateLimiter::for('sensor', SensorGuard::limits(...));
        Gate::policy(OwnExercise::class, OwnWorkPolicy::class);
        Gate::policy(OwnRoutine::class, OwnWorkPolicy::class);
        Gate::policy(OwnTemplate::class, OwnWorkPolicy::class);
        Gate::policy(OwnQuestionnaire::class, OwnWorkPolicy::class);
        Gate::define(
            'lead',
            fn (Practitioner $practitioner) => $practitioner->role === Role::Lead
                ? Response::allow()
                : Response::denyWithStatus(403, 'Only the clinic’s lead can do this.'),
        );
        Mail::extend('outbox', fn () => new OutboxTransport);
        Queue::looping(ComesBack::now(...));
        Vite::useBuildDirectory(config()->string('app.build_directory'));
    }
}
