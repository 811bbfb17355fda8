<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\HowToRead;
use Nasturtium\Core\Formats\Readers\MusicFormats;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\ScorePart;

/** Reads an uploaded score, whichever format it is in. */
final class ReadFile
{
    /** @throws ValidationException under the name `file` */
    public function __invoke(string $bytes, HowToRead $how): ReadScore
    {
        return self::reading(static fn (): ReadScore => MusicFormats::of($bytes)->read($bytes, $how));
    }

    /**
     * @return list<ScorePart> none where the format has no parts
     *
     * @throws ValidationException
     */
    public function parts(string $bytes): array
    {
        return self::reading(static fn (): array => MusicFormats::of($bytes)->parts($bytes));
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     */
    private static function reading(\Closure $read): mixed
    {
        try {
            return $read();
        } catch (BadInput $reason) {
            throw ValidationException::withMessages(['file' => $reason->getMessage()]);
        }
    }
}
