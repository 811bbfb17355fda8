<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Counting\CountIn as SaidBefore;

/** What is said before the first note. */
final readonly class CountIn implements \JsonSerializable
{
    use Fields;

    /**
     * @param  list<string>  $counts  the last may be the teacher's words
     * @param  string  $enter  the count the first note falls on; `&` between beats
     */
    public function __construct(
        public array $counts,
        public string $enter,
    ) {}

    public static function of(SaidBefore $countIn): self
    {
        return new self($countIn->counts, $countIn->enter);
    }
}
