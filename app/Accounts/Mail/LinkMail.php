<?php

declare(strict_types=1);

namespace App\Accounts\Mail;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** An invitation, or the link by which a password is set anew. */
final class LinkMail extends Mailable
{
    public function __construct(
        public readonly string $kind,
        public readonly string $organisation,
        public readonly string $name,
        public readonly string $link,
        public readonly string $until,
    ) {
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
