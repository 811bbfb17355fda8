<?php

declare(strict_types=1);

namespace Nasturtium\Core\Page;

use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Practice\TaskKind;

/**
 * A page without typed music: theory, listening, or one to be played from the book alone. It has one step, and is signed
 * off when that passes (trade 2.1, 11.2).
 */
final readonly class PlainPage
{
    private function __construct(
        public string $name,
        public string $sentence,
        public string $passMark,
        public int $halfMinutes,
        public TaskKind $kind,
    ) {}

    public static function of(PageKind $kind): self
    {
        return match ($kind) {
            PageKind::Theory => new self('do the page', 'Do the page with a pencil, and bring it to the lesson.', 'every answer right', 10, TaskKind::Theory),
            PageKind::Listening => new self('listen', 'Listen to it with the page in front of you, twice.', 'heard, and told what was in it', 8, TaskKind::Theory),
            PageKind::Duet => new self('your part', 'Play your part as it was shown, then with somebody.', 'once through with the other part', 12, TaskKind::Stage),
            PageKind::Pieces => new self('play the page', 'Play the page from the book, as it was shown at the lesson.', 'once through, nothing left out', 12, TaskKind::Stage),
        };
    }
}
