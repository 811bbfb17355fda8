<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

/** Something that is pointed at before a key is played. */
final readonly class Pointed implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $what  in a word or two: `Key`
     * @param  string  $text  in words: `G major: one sharp, F♯.`
     * @param  list<int>  $bars  that it is about; none where it is about the page
     * @param  list<string>  $events  ids of the notes that it is about
     * @param  bool  $thorn  it is something to look out for
     */
    public function __construct(
        public string $what,
        public string $text,
        public array $bars = [],
        public array $events = [],
        public bool $thorn = false,
    ) {}
}
