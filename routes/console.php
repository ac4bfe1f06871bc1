<?php

declare(strict_types=1);

use App\Jobs\ForgetOldAccessLinks;
use Illuminate\Support\Facades\Schedule;

Schedule::command('caseload:refresh')->everyMinute()->withoutOverlapping(10);
Schedule::job(new ForgetOldAccessLinks)->dailyAt('03:10');
