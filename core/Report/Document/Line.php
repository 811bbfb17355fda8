<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

/** A printed line. */
final readonly class Line implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $from  its first measure
     * @param  int  $to  its last
     * @param  string  $letter  A, B; A′ is a variant of A, A′′ a further one
     */
    public function __construct(
        public int $from,
        public int $to,
        public string $letter,
    ) {}
}
