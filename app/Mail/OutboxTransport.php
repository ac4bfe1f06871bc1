<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\OutgoingMail;
use LogicException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\MessageConverter;

/** Stands in for a mail server until one is configured: what would be sent is kept and can be read on the Outbox page. */
final class OutboxTransport extends AbstractTransport
{
    protected function doSend(SentMessage $message): void
    {
        $original = $message->getOriginalMessage();
        if (! $original instanceof Message) {
            throw new LogicException('Only messages with a head can be kept.');
        }
        $mail = MessageConverter::toEmail($original);
        $clinic = $mail->getHeaders()->get('X-Metadata-clinic')?->getBodyAsString();
        OutgoingMail::query()->create([
            'clinic_id' => is_numeric($clinic) ? (int) $clinic : null,
            'to' => implode(', ', array_map(fn (Address $address) => $address->getAddress(), $mail->getTo())),
            'subject' => $mail->getSubject() ?? '',
            'text' => (string) $mail->getTextBody(),
            'at' => now(),
        ]);
    }

    public function __toString(): string
    {
        return 'outbox';
    }
}
