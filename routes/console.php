<?php

declare(strict_types=1);

use App\Actions\Messages\Once;
use App\Actions\Recording\CloseRecordings;
use App\Actions\Recording\ForgetSamples;
use App\Guard\Wellbeing;
use App\Jobs\ForgetOldAccessLinks;
use App\Jobs\ForgetOldMails;
use Illuminate\Support\Facades\Schedule;

// Of several machines the first that comes to it does it, but for the beat.
Schedule::call(Wellbeing::beat(...))->everyMinute()->name('beat');
Schedule::command('caseload:refresh')->everyMinute()->withoutOverlapping(10)->onOneServer();
// Days begin at different hours for different patients: every hour is every day for each of them.
Schedule::command('programmes:recheck')->hourlyAt(20)->withoutOverlapping(50)->onOneServer();
Schedule::command('reminders:send')->everyFiveMinutes()->withoutOverlapping(10)->onOneServer();
Schedule::command('records:erase-waiting')->everyTenMinutes()->withoutOverlapping(10)->onOneServer();
Schedule::call(Once::forget(...))->dailyAt('03:30')->name('forget-sent')->onOneServer();
Schedule::job(new ForgetOldAccessLinks)->dailyAt('03:10')->onOneServer();
Schedule::job(new ForgetOldMails)->dailyAt('03:20')->onOneServer();
Schedule::call(fn (CloseRecordings $close) => $close(now()->toImmutable()))->everyTenMinutes()->name('close-recordings')->onOneServer();
Schedule::call(fn (ForgetSamples $forget) => $forget->due(now()->toImmutable()))->hourlyAt(40)->name('forget-samples')->onOneServer();
// They may hold addresses, and are looked at by then.
Schedule::command('queue:prune-failed --hours=720')->dailyAt('03:40')->onOneServer();
