<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calendar;

use App\Feeds\PatientFeed;
use App\Feeds\PractitionerFeed;
use App\Models\CalendarAddress;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a calendar outside reads by its secret address, without a sign-in. */
final class FeedController
{
    /** Calendars ask often: that one has asked is noted once an hour. */
    private const NOTED_EVERY_MINUTES = 60;

    public function __invoke(Request $request, string $token): Response
    {
        $address = CalendarAddress::known($token);
        if ($address === null) {
            return new Response("This calendar address has ended. Make a new one in Ivory Pace.\n", 404, ['Content-Type' => 'text/plain']);
        }
        $now = now()->toImmutable();
        if ($address->read_at === null || $address->read_at->diffInMinutes($now) >= self::NOTED_EVERY_MINUTES) {
            $address->update(['read_at' => $now]);
        }
        $patient = $address->device?->patient;
        $text = match (true) {
            $patient !== null => PatientFeed::text($patient, $now),
            $address->practitioner !== null => PractitionerFeed::text($address->practitioner, $now),
            default => '',
        };
        $response = self::file($text);
        $response->setEtag(hash('sha256', $text))->isNotModified($request);

        return $response;
    }

    public static function file(string $text): Response
    {
        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'inline; filename="calendar.ics"',
            'Cache-Control' => 'private, no-cache',
        ]);
    }
}
