<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** A page as it was read: its pieces from the top. */
final readonly class ReadPage
{
    /** @param non-empty-list<ReadPhoto> $pieces */
    public function __construct(public array $pieces) {}

    /** What a piece is called beside the others of the page: A, B, C; empty where it is the only one. */
    public function label(int $piece): string
    {
        return count($this->pieces) > 1 ? chr(ord('A') + $piece) : '';
    }

    /** Whether most of its bars are in doubt, as where it was written by hand. */
    public function isPoor(): bool
    {
        $bars = $this->bars();
        $doubted = count(array_filter($bars, static fn (ReadBar $bar): bool => $bar->doubts !== []));

        return 2 * $doubted > count($bars);
    }

    /** @return list<ReadBar> of the whole page */
    public function bars(): array
    {
        return array_merge(...array_map(static fn (ReadPhoto $piece): array => $piece->bars, $this->pieces));
    }
}
