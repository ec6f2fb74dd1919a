<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The letter with the link that sets a new password; plain text. */
final class NewPasswordMail extends Mailable
{
    public function __construct(public readonly string $person, public readonly string $link)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'A new password for your studio');
    }

    public function content(): Content
    {
        return new Content(text: 'new-password');
    }
}
