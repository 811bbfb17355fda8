<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** One question of the practice room with all that is needed to ask it, judge the answer and say how it is found (trade 15.1). */
final readonly class Card
{
    /**
     * @param  string  $id  the same each time the same is asked, as `name treble:C4`
     * @param  string  $ask  in one sentence
     * @param  non-empty-list<string>  $right  ids of options, any of which is right; or keys by number: any of them, in a phrase all in their order
     * @param  string  $way  how it is found
     * @param  ?string  $music  MusicXML that is shown
     * @param  list<Option>  $options
     * @param  ?string  $note  `treble:C4`, where it is about one
     * @param  list<Heard>  $hear  what sounds when the card is drawn
     * @param  ?string  $sign  a sign or a word that is shown large in the place of music
     */
    public function __construct(
        public string $id,
        public string $ask,
        public AnswerBy $by,
        public array $right,
        public string $way,
        public ?string $music = null,
        public array $options = [],
        public ?string $note = null,
        public array $hear = [],
        public ?Taps $taps = null,
        public ?string $sign = null,
    ) {}

    /** The letter of its note as a child reads it: `F♯`. */
    public function letter(): ?string
    {
        return $this->note === null ? null : strtr(rtrim(explode(':', $this->note)[1] ?? '', '0123456789'), ['#' => '♯', 'b' => '♭']);
    }
}
