<?php

declare(strict_types=1);

use App\Http\Controllers\AccessController;
use App\Http\Controllers\Account\AccountController;
use App\Http\Controllers\Account\ForgottenController;
use App\Http\Controllers\Account\FoundController;
use App\Http\Controllers\Account\JoinController;
use App\Http\Controllers\Account\SecondFactorController;
use App\Http\Controllers\AskedFormController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BenchToolsController;
use App\Http\Controllers\Calendar\AbsenceController;
use App\Http\Controllers\Calendar\AppointmentController;
use App\Http\Controllers\Calendar\MyCalendarController;
use App\Http\Controllers\Calendar\WeekController;
use App\Http\Controllers\CaseloadController;
use App\Http\Controllers\Clinic\ClinicController;
use App\Http\Controllers\Clinic\ExercisesController;
use App\Http\Controllers\Clinic\KeepingController;
use App\Http\Controllers\Clinic\OutboxPageController;
use App\Http\Controllers\Clinic\OwnExerciseController;
use App\Http\Controllers\Clinic\PeopleController;
use App\Http\Controllers\Clinic\QuestionnaireController;
use App\Http\Controllers\Clinic\ReportController;
use App\Http\Controllers\Clinic\RoutineController;
use App\Http\Controllers\Clinic\TemplateController;
use App\Http\Controllers\Clinic\VoiceController;
use App\Http\Controllers\KeptAsideController;
use App\Http\Controllers\MeasureController;
use App\Http\Controllers\NewFindingsController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PatientController;
use App\Http\Controllers\PauseController;
use App\Http\Controllers\ProgrammeController;
use App\Http\Controllers\ProgrammeDocumentController;
use App\Http\Controllers\ProposalController;
use App\Http\Controllers\Record\CorrectionController;
use App\Http\Controllers\Record\ErasureController;
use App\Http\Controllers\Record\JoinRecordsController;
use App\Http\Controllers\Record\LetterController;
use App\Http\Controllers\Record\LetterDraftController;
use App\Http\Controllers\Record\RecordFileController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\RedFlagActionController;
use App\Http\Controllers\ScreeningController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\Signals\SensorsController;
use App\Http\Controllers\Signals\SignalsController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\VersionController;
use App\Http\Middleware\LeavesTrail;
use App\Http\Middleware\OnceOnly;
use App\Http\Middleware\SessionHolds;
use Illuminate\Support\Facades\Route;

Route::middleware('guest:practitioner')->group(function () {
    Route::get('/sign-in', [SignInController::class, 'create']);
    Route::post('/sign-in', [SignInController::class, 'store']);
    Route::get('/sign-in/code', [SignInController::class, 'code']);
    Route::post('/sign-in/code', [SignInController::class, 'acceptCode']);
    Route::get('/join', [JoinController::class, 'create']);
    Route::post('/join', [JoinController::class, 'store']);
    Route::post('/join/look', [JoinController::class, 'look'])->middleware('throttle:30,1');
    Route::get('/found', [FoundController::class, 'create']);
    Route::post('/found', [FoundController::class, 'store']);
    Route::post('/found/look', [FoundController::class, 'look'])->middleware('throttle:30,1');
    Route::get('/forgotten', [ForgottenController::class, 'create']);
    Route::post('/forgotten', [ForgottenController::class, 'store']);
    Route::get('/new-password', [ForgottenController::class, 'edit']);
    Route::post('/new-password', [ForgottenController::class, 'update']);
});

Route::post('/sign-out', [SignInController::class, 'destroy'])->middleware('auth:practitioner');

Route::middleware(['auth:practitioner', SessionHolds::class, OnceOnly::class, LeavesTrail::class])->group(function () {
    Route::prefix('/account')->group(function () {
        Route::get('/', [AccountController::class, 'show']);
        Route::put('/details', [AccountController::class, 'details']);
        Route::put('/password', [AccountController::class, 'password']);
        Route::delete('/sessions', [AccountController::class, 'endOthers']);
        Route::delete('/sessions/{key}', [AccountController::class, 'endSession'])->where('key', '[0-9a-f]{16}');
        Route::post('/calendar', [MyCalendarController::class, 'store']);
        Route::delete('/calendar', [MyCalendarController::class, 'destroy']);
        Route::post('/second-factor', [SecondFactorController::class, 'begin']);
        Route::put('/second-factor', [SecondFactorController::class, 'confirm']);
        Route::delete('/second-factor', [SecondFactorController::class, 'remove']);
    });
    Route::get('/', CaseloadController::class);
    Route::get('/week', [WeekController::class, 'show']);
    Route::get('/week/patients', [WeekController::class, 'patients']);
    Route::get('/week/calendar.ics', [MyCalendarController::class, 'file']);
    Route::post('/absences', [AbsenceController::class, 'store']);
    Route::delete('/absences/{absence}', [AbsenceController::class, 'destroy'])->where('absence', '\d{1,15}');
    Route::get('/clinic', [ClinicController::class, 'show']);
    Route::get('/clinic/report.pdf', [ReportController::class, 'pdf']);
    Route::get('/clinic/report.csv', [ReportController::class, 'csv']);
    Route::put('/clinic/settings', [ClinicController::class, 'settings'])->middleware('can:lead');
    Route::put('/clinic/letters', [ClinicController::class, 'letters'])->middleware('can:lead');
    Route::put('/clinic/keeping', [KeepingController::class, 'update'])->middleware('can:lead');
    Route::post('/clinic/erasures', [KeepingController::class, 'erase'])->middleware('can:lead');
    Route::put('/clinic/reliabilities', [ClinicController::class, 'reliabilities'])->middleware('can:lead');
    Route::put('/clinic/thresholds', [ClinicController::class, 'thresholds'])->middleware('can:lead');
    Route::middleware('can:lead')->prefix('/clinic')->group(function () {
        Route::get('/outbox', OutboxPageController::class);
        Route::put('/second-factor', [PeopleController::class, 'demandSecondFactor']);
        Route::post('/invitations', [PeopleController::class, 'invite']);
        Route::delete('/invitations/{invitation}', [PeopleController::class, 'withdraw'])->where('invitation', '\d{1,15}');
        Route::put('/people/{practitioner}', [PeopleController::class, 'role']);
        Route::post('/people/{practitioner}/end', [PeopleController::class, 'end']);
        Route::delete('/people/{practitioner}/second-factor', [PeopleController::class, 'removeSecondFactor']);
    });
    Route::get('/voice', [VoiceController::class, 'show']);
    Route::prefix('/voice/{line}')->where(['line' => '[a-z0-9.-]{1,60}'])->group(function () {
        Route::post('/', [VoiceController::class, 'store']);
        Route::get('/', [VoiceController::class, 'sound']);
        Route::delete('/', [VoiceController::class, 'destroy']);
    });
    Route::post('/sensors', [SensorsController::class, 'store']);
    Route::delete('/sensors/{sensor}', [SensorsController::class, 'destroy'])->where('sensor', '\d{1,15}');
    Route::get('/patients/new', [PatientController::class, 'create']);
    Route::post('/patients', [PatientController::class, 'store']);
    Route::post('/patients/file', [RecordFileController::class, 'in']);

    Route::get('/exercises/{key?}', [ExercisesController::class, 'show'])->where('key', '[0-9a-z-]+');
    Route::get('/exercises/{key}/play', [ExercisesController::class, 'play'])->where('key', '[0-9a-z-]+');
    Route::post('/own-exercises', [OwnExerciseController::class, 'store']);
    Route::middleware('can:change,ownExercise')->group(function () {
        Route::put('/own-exercises/{ownExercise}', [OwnExerciseController::class, 'update']);
        Route::delete('/own-exercises/{ownExercise}', [OwnExerciseController::class, 'destroy']);
    });
    Route::post('/templates', [TemplateController::class, 'store']);
    Route::delete('/templates/{ownTemplate}', [TemplateController::class, 'destroy'])->middleware('can:change,ownTemplate');
    Route::post('/questionnaires', [QuestionnaireController::class, 'store']);
    Route::middleware('can:change,ownQuestionnaire')->group(function () {
        Route::get('/questionnaires/{ownQuestionnaire}/file', [QuestionnaireController::class, 'show']);
        Route::delete('/questionnaires/{ownQuestionnaire}', [QuestionnaireController::class, 'destroy']);
    });
    Route::post('/routines/answer', [RoutineController::class, 'answer']);
    Route::post('/routines', [RoutineController::class, 'store']);
    Route::get('/routines/{key}', [RoutineController::class, 'show'])->where('key', '[0-9a-z-]+');
    Route::get('/routines/{key}/play', [RoutineController::class, 'play'])->where('key', '[0-9a-z-]+');
    Route::middleware('can:change,ownRoutine')->group(function () {
        Route::put('/routines/{ownRoutine}', [RoutineController::class, 'update']);
        Route::delete('/routines/{ownRoutine}', [RoutineController::class, 'destroy']);
    });

    Route::prefix('/patients/{patient}')->middleware('can:view,patient')->group(function () {
        Route::get('/', [PatientController::class, 'show']);
        Route::get('/screening', [ScreeningController::class, 'show']);
        Route::post('/screening', [ScreeningController::class, 'store']);
        Route::post('/red-flags/{flag}/actions', [RedFlagActionController::class, 'store']);
        Route::get('/measure', [MeasureController::class, 'show']);
        Route::post('/measure', [MeasureController::class, 'store']);
        Route::post('/measure/rate', [MeasureController::class, 'rate']);
        Route::get('/measure/ceiling', [MeasureController::class, 'ceiling']);
        Route::put('/measure/choices', [MeasureController::class, 'choose']);
        Route::prefix('/signals')->group(function () {
            Route::get('/', [SignalsController::class, 'show']);
            Route::post('/', [SignalsController::class, 'begin']);
            Route::get('/paces', [SignalsController::class, 'paces']);
            Route::put('/agreement', [SignalsController::class, 'agree']);
            Route::post('/file', [SignalsController::class, 'read']);
            Route::prefix('/{uuid}')->where(['uuid' => '[0-9a-f-]{36}'])->group(function () {
                Route::get('/live', [SignalsController::class, 'live']);
                Route::post('/end', [SignalsController::class, 'end']);
                Route::delete('/samples', [SignalsController::class, 'forget']);
                Route::get('/trace.{type}', [SignalsController::class, 'file'])->where('type', 'edf|csv');
            });
        });
        Route::post('/forms', [AskedFormController::class, 'store']);
        Route::put('/forms/{form}', [AskedFormController::class, 'update']);
        Route::delete('/forms/{form}', [AskedFormController::class, 'destroy']);
        Route::post('/new-findings/settle', NewFindingsController::class);
        Route::post('/sessions', [SessionController::class, 'store']);
        Route::scopeBindings()->prefix('/sessions/{careSession}')->group(function () {
            Route::get('/{step?}', [SessionController::class, 'show']);
            Route::put('/steps/{step}', [SessionController::class, 'keep']);
            Route::post('/signature', [SessionController::class, 'sign']);
            Route::post('/amendments', [SessionController::class, 'amend']);
            Route::post('/drop', [CorrectionController::class, 'session']);
        });
        Route::get('/record', [RecordController::class, 'show']);
        Route::post('/record.zip', [RecordFileController::class, 'out']);
        Route::put('/details', [RecordController::class, 'update']);
        Route::post('/handovers', [RecordController::class, 'handOver']);
        Route::get('/letters', [LetterController::class, 'index']);
        Route::post('/letters', [LetterDraftController::class, 'store']);
        Route::prefix('/letters/{kind}')->where(['kind' => '[a-z]{1,20}'])->group(function () {
            Route::get('/', [LetterDraftController::class, 'show']);
            Route::put('/', [LetterDraftController::class, 'keep']);
            Route::delete('/', [LetterDraftController::class, 'destroy']);
            Route::post('/fill', [LetterDraftController::class, 'fill']);
            Route::get('/draft.pdf', [LetterDraftController::class, 'preview']);
            Route::post('/signature', [LetterDraftController::class, 'sign']);
        });
        Route::prefix('/letters/{letter}')->where(['letter' => '\d{1,15}'])->group(function () {
            Route::get('/letter.pdf', [LetterController::class, 'pdf']);
            Route::get('/letter.txt', [LetterController::class, 'text']);
            Route::post('/sent', [LetterController::class, 'sent']);
        });
        Route::get('/bench', [BenchController::class, 'show']);
        Route::post('/bench/answer', [BenchController::class, 'answer']);
        foreach (['play', 'taps', 'fit', 'compare', 'changes', 'check'] as $tool) {
            Route::post("/bench/$tool", [BenchToolsController::class, $tool]);
        }
        Route::post('/bench/import', [ProgrammeDocumentController::class, 'read']);
        Route::post('/paper', PaperController::class);
        Route::post('/proposals', ProposalController::class);
        Route::post('/programme/close', [ProgrammeController::class, 'close']);
        Route::post('/appointments', [AppointmentController::class, 'store']);
        Route::put('/appointments/{appointment}', [AppointmentController::class, 'update'])->where('appointment', '\d{1,15}');
        Route::delete('/appointments/{appointment}', [AppointmentController::class, 'destroy'])->where('appointment', '\d{1,15}');
        Route::post('/versions', [VersionController::class, 'store']);
        Route::get('/versions/{number}', [VersionController::class, 'show'])->where('number', '\d{1,15}');
        Route::get('/versions/{number}/sheet.pdf', SheetController::class)->where('number', '\d{1,15}');
        Route::get('/versions/{number}/programme.json', [ProgrammeDocumentController::class, 'show'])->where('number', '\d{1,15}');
        Route::post('/versions/{number}/withdraw', [CorrectionController::class, 'version'])->where('number', '\d{1,15}');
        Route::post('/measurements/{measurement}/strike', [CorrectionController::class, 'measurement'])->where('measurement', '\d{1,15}');
        Route::post('/practices/{uuid}/strike', [CorrectionController::class, 'practice'])->where('uuid', '[0-9a-f-]{36}');
        Route::post('/devices/{device}/wrong', [CorrectionController::class, 'device']);
        Route::post('/erasure', [ErasureController::class, 'store'])->middleware('can:lead');
        Route::post('/erasure/refusal', [ErasureController::class, 'refuse'])->middleware('can:lead');
        Route::post('/archive', [CorrectionController::class, 'archive']);
        Route::delete('/archive', [CorrectionController::class, 'bringBack']);
        Route::get('/join', [JoinRecordsController::class, 'show']);
        Route::post('/join', [JoinRecordsController::class, 'store']);
        Route::get('/access', [AccessController::class, 'show']);
        Route::post('/access', [AccessController::class, 'store']);
        Route::post('/consent/withdrawal', [AccessController::class, 'withdraw']);
        Route::delete('/devices/{device}', [AccessController::class, 'destroy']);
        Route::post('/kept-aside/{kept}', KeptAsideController::class);
        Route::post('/pauses', [PauseController::class, 'store']);
        Route::post('/pauses/{pause}/end', [PauseController::class, 'end']);
    });
});
