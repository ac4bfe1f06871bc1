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
use Illuminate\Mail\Mailables\Headers;

/** Plain text of a clinic, sent by the queue once what it is about is kept. */
abstract class PlainMail extends Mailable implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    /** @var list<int> seconds */
    public array $backoff = [10, 60, 300, 900];

    public readonly string $clinic;

    private readonly int $clinicId;

    /**
     * @param  list<string>  $lines
     * @param  string|null  $stop  where one asks for no more of these
     */
    final protected function __construct(
        Clinic $clinic,
        private readonly string $title,
        public readonly array $lines,
        private readonly ?string $stop = null,
    ) {
        $this->clinic = $clinic->name;
        $this->clinicId = $clinic->id;
        $this->afterCommit();
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->title, metadata: ['clinic' => (string) $this->clinicId]);
    }

    /** A mail program shows a button of its own for it (RFC 8058). */
    public function headers(): Headers
    {
        return new Headers(text: $this->stop === null ? [] : [
            'List-Unsubscribe' => "<{$this->stop}>", 'List-Unsubscribe-Post' => 'List-Unsubscribe=One-Click',
        ]);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.account');
    }
}
