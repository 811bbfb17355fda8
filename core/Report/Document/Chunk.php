<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\Chunk as PartOfPage;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\Reason as ReasonFound;
use Nasturtium\Core\Pattern\StickingPoint;

/** A part of the page to practise. */
final readonly class Chunk implements \JsonSerializable
{
    use Fields;

    /**
     * @param  ChunkKind  $kind  of part
     * @param  string  $from  its first beat
     * @param  string  $to  its last, included
     * @param  list<string>  $serves  where the same music begins, its own place first
     * @param  ?int  $score  of the hardest bar it serves, for a bar-over; else null
     * @param  list<string>  $reasons  of that bar, in words
     * @param  string  $beats  as played, of the time signature the piece begins with
     */
    public function __construct(
        public ChunkKind $kind,
        public string $from,
        public string $to,
        public array $serves,
        public ?int $score,
        public array $reasons,
        public string $beats,
    ) {}

    public static function of(PartOfPage $chunk, ?StickingPoint $hardest): self
    {
        return new self(
            $chunk->kind,
            (string) $chunk->from,
            (string) $chunk->to,
            array_map(strval(...), $chunk->serves),
            $hardest?->score,
            array_map(static fn (ReasonFound $reason): string => $reason->text, $hardest->reasons ?? []),
            (string) $chunk->beats,
        );
    }
}
