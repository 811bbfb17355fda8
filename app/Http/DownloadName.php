<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\HeaderUtils;

/** The header that names a file to keep; titles may hold anything. */
final readonly class DownloadName
{
    public static function of(string $title, string $ending): string
    {
        $name = trim((string) preg_replace('/[\/\\\\:*?"<>|%\x00-\x1F\s]+/u', ' ', $title));
        $name = ($name === '' ? 'Untitled' : $name).".{$ending}";
        $plain = (string) preg_replace('/[^\x20-\x7E]/u', '_', $name);

        return HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $name, $plain);
    }
}
