<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Clinic;

/** The way to their own pages, for a patient who gave an address: nothing of what is practised or why. */
final class PatientMail extends PlainMail
{
    /** In the language that is spoken while it is made. */
    public static function link(Clinic $clinic, string $address, int $days): self
    {
        $intro = (string) __('mail.intro', ['clinic' => $clinic->name, 'days' => $days]);

        return new self($clinic, (string) __('mail.title'), [$intro, $address, (string) __('mail.not-you')]);
    }

    /**
     * @param  'made'|'moved'|'another'|'cancelled'|'tomorrow'  $what
     * @param  non-empty-list<string>  $times  in words
     */
    public static function appointment(Clinic $clinic, string $what, array $times, string $with, string $stop): self
    {
        return new self($clinic, (string) __("mail.appointment.$what", ['clinic' => $clinic->name]), [
            (string) __('mail.with', ['name' => $with]), implode("\n", $times), ...self::telephone($clinic), self::stop($stop),
        ], $stop);
    }

    /** @param  string  $habit  on which the practice hangs */
    public static function practice(Clinic $clinic, string $habit, string $stop): self
    {
        return new self($clinic, (string) __('patient.calendar.practice', ['when' => $habit]), [
            (string) __('patient.calendar.practice-text'), rtrim(config()->string('app.url'), '/').'/my', self::stop($stop),
        ], $stop);
    }

    /** @return list<string> */
    private static function telephone(Clinic $clinic): array
    {
        return $clinic->telephone === null ? [] : [(string) __('mail.telephone', ['number' => $clinic->telephone])];
    }

    private static function stop(string $address): string
    {
        return __('mail.stop').' '.$address;
    }
}
