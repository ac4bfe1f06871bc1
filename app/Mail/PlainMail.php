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

/** Plain text of a clinic, sent by the queue once what it is about is kept. */
abstract class PlainMail extends Mailable implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    /** @var list<int> seconds */
    public array $backoff = [10, 60, 300, 900];

    public readonly string $clinic;

    private readonly int $clinicId;

    /** @param  list<string>  $lines */
    final protected function __construct(Clinic $clinic, private readonly string $title, public readonly array $lines)
    {
        $this->clinic = $clinic->name;
        $this->clinicId = $clinic->id;
        $this->afterCommit();
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
