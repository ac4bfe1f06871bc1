<?php

declare(strict_types=1);

use App\Jobs\ForgetOldAccessLinks;
use Illuminate\Support\Facades\Schedule;

Schedule::command('caseload:refresh')->everyMinute()->withoutOverlapping(10);
// Days begin at different hours for different patients: every hour is every day for each of them.
Schedule::command('programmes:recheck')->hourlyAt(20)->withoutOverlapping(50);
Schedule::job(new ForgetOldAccessLinks)->dailyAt('03:10');
