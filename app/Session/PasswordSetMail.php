<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Tells somebody that her password was changed, so that she learns of it where it was not she. */
final class PasswordSetMail extends Mailable
{
    public function __construct(public readonly string $person, public readonly string $how)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Your password was changed');
    }

    public function content(): Content
    {
        return new Content(text: 'password-set');
    }
}
