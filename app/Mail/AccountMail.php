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

/** About the account of somebody who works in a clinic: plain text, and never a word about a patient. */
final class AccountMail extends Mailable implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    /** @var list<int> seconds */
    public array $backoff = [10, 60, 300, 900];

    /** @param  list<string>  $lines */
    private function __construct(
        private readonly string $title,
        public readonly array $lines,
        public readonly string $clinic,
        private readonly int $clinicId,
    ) {
        $this->afterCommit();
    }

    public static function invitation(Clinic $clinic, string $from, string $address, int $days): self
    {
        return self::about($clinic, "Join {$clinic->name}", [
            "$from invites you to {$clinic->name}. Open this address to choose a password; it works once, for $days days:", $address,
            'If you do not know why you get this, do nothing: without the address nobody gets in.',
        ]);
    }

    public static function forgottenPassword(Clinic $clinic, string $address, int $minutes): self
    {
        return self::about($clinic, 'A new password', [
            "Somebody asked for a new password for this address. Open this to choose one; it works once, for $minutes minutes:", $address,
            'If it was not you, do nothing: your password stays as it is.',
        ]);
    }

    public static function changed(Clinic $clinic, string $what): self
    {
        return self::about($clinic, 'Your account was changed', [
            "$what If it was you, there is nothing to do.",
            'If it was not, tell the lead of your clinic at once, and choose a new password (Sign in, “Forgotten?”).',
        ]);
    }

    /** @param  list<string>  $lines */
    private static function about(Clinic $clinic, string $title, array $lines): self
    {
        return new self($title, $lines, $clinic->name, $clinic->id);
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
