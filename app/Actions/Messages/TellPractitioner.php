<?php

declare(strict_types=1);

namespace App\Actions\Messages;

use App\Mail\AccountMail;
use App\Models\Practitioner;
use Illuminate\Support\Facades\Mail;

/** Messages to somebody who works here and wished for them: how many, and of whom nothing. */
final class TellPractitioner
{
    /** @param  string  $day  of the clinic: one a day */
    public static function ofReviews(Practitioner $who, int $due, string $day): void
    {
        if ($due > 0 && Once::first("reviews {$who->id} {$day}")) {
            Mail::to($who->email)->queue(
                AccountMail::reviewsDue($who->clinic, $due, rtrim(config()->string('app.url'), '/').'/?reason=review-overdue'),
            );
        }
    }
}
