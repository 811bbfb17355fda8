<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** A format that music comes in. Each is one class in a folder of its own, and one line in MusicFormats. */
interface MusicFormat
{
    /** @return non-empty-list<string> how files of it are called: `.mid` */
    public function endings(): array;

    /** Whether a file begins as those of this format do. */
    public function accepts(string $bytes): bool;

    /** It was played, not written: notes are laid on a grid, and the first bar may begin anywhere. */
    public function isPlayed(): bool;

    /**
     * @return list<ScorePart> to choose the student's from; none where a file has no parts
     *
     * @throws BadInput with the place and what to do
     */
    public function parts(string $bytes): array;

    /** @throws BadInput with the place and what to do */
    public function read(string $bytes, HowToRead $how): ReadScore;
}
