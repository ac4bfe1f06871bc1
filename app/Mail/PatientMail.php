<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Clinic;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The way to their own pages, for a patient who gave an address: plain text, and nothing of what is practised or why. */
final class PatientMail extends Mailable implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    /** @var list<int> seconds */
    public array $backoff = [10, 60, 300, 900];

    /** @param  list<string>  $lines */
    public function __construct(
        private readonly string $title,
        public readonly array $lines,
        public readonly string $clinic,
        private readonly int $clinicId,
    ) {
        $this->afterCommit();
    }

    /** In the language that is spoken while it is made. */
    public static function link(Clinic $clinic, string $address, int $days): self
    {
        $lines = [__('patient.mail.intro', ['clinic' => $clinic->name, 'days' => $days]), $address, __('patient.mail.not-you')];

        $lines = array_map(fn (mixed $line) => (string) $line, $lines);

        return new self((string) __('patient.mail.title'), $lines, $clinic->name, $clinic->id);
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->title, metadata: ['clinic' => (string) $this->clinicId]);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.account');
    }
}
