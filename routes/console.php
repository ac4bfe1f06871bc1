<?php

declare(strict_types=1);

use App\Jobs\ForgetOldAccessLinks;
use Illuminate\Support\Facades\Schedule;

Schedule::job(new ForgetOldAccessLinks)->dailyAt('03:10');
