<?php

declare(strict_types=1);

namespace App\Accounts\Mail;

use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/**
 * Mails an invitation, or a link to set a new password. A worker sends it, so that a failing mail server never fails a request. The waiting
 * job is encrypted: the link opens the account.
 */
final class LinkMail extends Mailable implements ShouldBeEncrypted, ShouldQueue
{
    /** How often it is tried: an invitation for about two days; a link that ends after two hours for about one. */
    public int $tries;

    /** @var list<int> seconds between tries */
    public array $backoff = [30, 120, 600, 3600];

    public function __construct(
        public readonly string $kind,
        public readonly string $organisation,
        public readonly string $name,
        public readonly string $link,
        public readonly string $until,
    ) {
        $this->tries = $kind === 'invitation' ? 50 : 4;
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->kind === 'invitation' ? "Your account at {$this->organisation}" : 'Set a new password');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.link');
    }
}
