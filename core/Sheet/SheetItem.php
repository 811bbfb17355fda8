<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sheet;

/** One question of a worksheet with its answer. */
final readonly class SheetItem
{
    /**
     * @param  string  $ask  printed above it
     * @param  string  $answer  printed on the page of answers
     * @param  ?string  $music  MusicXML
     * @param  ?string  $sign  a word or a sign that stands in the place of music
     * @param  list<string>  $options  to ring one of
     * @param  ?int  $key  a key that is marked on a keyboard
     */
    public function __construct(public string $ask, public string $answer, public ?string $music = null, public ?string $sign = null, public array $options = [], public ?int $key = null) {}
}
