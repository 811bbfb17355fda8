<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Fingering\Span as HandSpan;
use Nasturtium\Core\Score\Hand;

/** A chord that is wider than five keys, or than the hand. */
final readonly class Span implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Hand  $hand  that reaches
     * @param  string  $at  its place
     * @param  int  $keys  white ones, both ends counted: 8 is an octave
     * @param  bool  $fits  this student's hand
     */
    public function __construct(
        public Hand $hand,
        public string $at,
        public int $keys,
        public bool $fits,
    ) {}

    public static function of(HandSpan $span): self
    {
        return new self($span->hand, (string) $span->at, $span->keys, $span->fits);
    }
}
