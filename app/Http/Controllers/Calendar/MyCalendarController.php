<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calendar;

use App\Feeds\PractitionerFeed;
use App\Models\CalendarAddress;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** A practitioner's own calendar: its address for other programs, and as a file. */
final class MyCalendarController
{
    public function store(#[CurrentUser] Practitioner $who): RedirectResponse
    {
        return redirect('/account')->with('new_calendar', CalendarAddress::handOut($who));
    }

    public function destroy(#[CurrentUser] Practitioner $who): RedirectResponse
    {
        CalendarAddress::of($who)->update(['revoked_at' => now()]);

        return redirect('/account')->with('flash', 'The address is ended. Take it out of your calendar as well.');
    }

    public function file(#[CurrentUser] Practitioner $who): Response
    {
        return FeedController::file(PractitionerFeed::text($who, now()->toImmutable()));
    }
}
