<?php

declare(strict_types=1);

namespace App\Listening;

use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\HeardNote;
use Nasturtium\Core\Performance\Hearing\HeardStatus;
use Nasturtium\Core\Performance\Hearing\ProposedSlip;
use Nasturtium\Core\Performance\Hearing\ProposeSlips;

/** What was heard in a take, as it is kept beside it, so that a lesson does not judge it anew. */
final readonly class Judged
{
    /** Another one when takes are judged otherwise. */
    private const FORM = 1;

    /**
     * @param  int  $revision  of the page
     * @param  list<int>  $bars  numbers of the bars in which a key was another one or missed
     * @param  list<array{kind: string, measure: int, bar: int, hand: ?string, why: string}>  $slips
     */
    private function __construct(
        public int $form,
        public int $revision,
        public bool $clean,
        public int $faults,
        public int $stalls,
        public int $restarts,
        public ?int $tempo,
        public ?int $steady,
        public array $bars,
        public array $slips,
    ) {}

    public static function of(Heard $heard, int $revision): self
    {
        $measures = $heard->music->piece->measures;
        $faults = array_filter($heard->notes, static fn (HeardNote $note): bool => $note->status === HeardStatus::Wrong || $note->status === HeardStatus::Missed);

        return new self(
            self::FORM,
            $revision,
            $heard->isClean(),
            count($faults),
            count($heard->stalls),
            count($heard->restarts),
            $heard->tempo === null ? null : (int) round($heard->tempo / 1_000),
            $heard->steady === null ? null : intdiv($heard->steady, 10),
            array_values(array_unique(array_map(static fn (HeardNote $note): int => $measures[$note->written->measure]->number, $faults))),
            array_map(static fn (ProposedSlip $slip): array => ['kind' => $slip->kind->value, 'measure' => $slip->measure, 'bar' => $measures[$slip->measure]->number, 'hand' => $slip->hand?->value, 'why' => $slip->why], ProposeSlips::of($heard)),
        );
    }

    /** As it was kept; null where it is of another form or of another revision of the page. */
    public static function kept(?string $json, int $revision): ?self
    {
        $kept = self::read($json);

        return $kept?->revision === $revision ? $kept : null;
    }

    /** As it was kept, of whatever revision of the page; null where it is of another form. */
    public static function read(?string $json): ?self
    {
        /** @var array{form: int, revision: int, clean: bool, faults: int, stalls: int, restarts: int, tempo: ?int, steady: ?int, bars: list<int>, slips: list<array{kind: string, measure: int, bar: int, hand: ?string, why: string}>}|null $kept */
        $kept = $json === null ? null : json_decode($json, true);

        return $kept !== null && $kept['form'] === self::FORM ? new self(...$kept) : null;
    }

    public function json(): string
    {
        return json_encode($this, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
