<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What is written at an event besides its notes and its length. */
final readonly class Ink
{
    /**
     * @param  list<Mark>  $marks
     * @param  list<SlurEnd>  $slurs
     * @param  list<Lyric>  $lyrics
     * @param  list<Grace>  $graces
     */
    public function __construct(
        public array $marks = [],
        public array $slurs = [],
        public array $lyrics = [],
        public array $graces = [],
        public ?Tuplet $tuplet = null,
    ) {}

    public static function none(): self
    {
        /** @var self|null $none */
        static $none = null;

        return $none ??= new self();
    }
}
