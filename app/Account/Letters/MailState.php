<?php

declare(strict_types=1);

namespace App\Account\Letters;

/** What has become of a letter. */
enum MailState: string
{
    /** To be read in the outbox; it goes nowhere. */
    case Kept = 'kept';
    case Waiting = 'waiting';
    case Sent = 'sent';
    case Refused = 'refused';
}
