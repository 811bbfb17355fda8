<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Fingering\Keys\Strike;

/** One way for a hand to lie on the keys of a strike. */
final readonly class Grip
{
    /** The letter of the thumb's key, as the first of the fingers has it, counted outwards. */
    public int $thumb;

    /**
     * @param  non-empty-list<int>  $keys  outwards from the thumb, as a Strike has them
     * @param  non-empty-list<int>  $letters
     * @param  non-empty-list<int>  $fingers  by key
     * @param  int  $cost  of lying so, whatever was before
     */
    public function __construct(public array $keys, public array $letters, public array $fingers, public int $cost)
    {
        $this->thumb = $letters[0] - $fingers[0] + 1;
    }

    /** Of single notes: the thumb has passed under, or a finger over it. */
    public function crosses(self $before): bool
    {
        [$from, $to] = [$before->fingers[0], $this->fingers[0]];

        return min($from, $to) === 1 && $from !== $to && ($this->keys[0] > $before->keys[0]) !== ($to > $from);
    }
}
