<?php

declare(strict_types=1);

namespace App\Accounts\Mail;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\MessageConverter;

/** Stands in for a mail server: what would be sent is kept in a table, for a lead to read on a page. */
final class TrayTransport extends AbstractTransport
{
    public const KEPT_DAYS = 30;

    protected function doSend(SentMessage $message): void
    {
        $email = MessageConverter::toEmail($message->getOriginalMessage() instanceof \Symfony\Component\Mime\Message
            ? $message->getOriginalMessage() : throw new \LogicException('Only whole messages are sent.'));
        DB::table('mail_tray')->where('sent_at', '<', now()->subDays(self::KEPT_DAYS)->utc()->format('Y-m-d H:i:s'))->delete();
        foreach ($email->getTo() as $recipient) {
            DB::table('mail_tray')->insert([
                'recipient' => $recipient->getAddress(), 'subject' => (string) $email->getSubject(),
                'body' => (string) $email->getTextBody(), 'sent_at' => now()->utc()->format('Y-m-d H:i:s'),
            ]);
        }
    }

    public function __toString(): string
    {
        return 'tray';
    }
}
