<?php

declare(strict_types=1);

namespace App\Lead;

use App\Page\Piece\Piece;
use App\Page\Piece\PlaybackResource;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Score\Piece as Score;

/** The music that the steps of a run need, each piece and each phrase once. */
final class LedMusic
{
    /** @var array<int, array{Piece, Score}> */
    private array $scores = [];

    public function __construct(private readonly CountWay $counting) {}

    /** Null where its music is not typed. */
    public function score(?Piece $piece): ?Score
    {
        if ($piece === null || ! $piece->isTyped()) {
            return null;
        }

        return ($this->scores[$piece->id] ??= [$piece, $piece->score()])[1];
    }

    /**
     * Bars of a piece that may have been typed anew meanwhile: what is left of them.
     *
     * @param  iterable<array{int, int}>  $ranges  indices of first and last measures
     * @return list<array{int, int}> none where the music is not typed
     */
    public static function within(?Score $score, iterable $ranges): array
    {
        $end = $score === null ? -1 : count($score->measures) - 1;
        $within = [];
        foreach ($end < 0 ? [] : $ranges as [$first, $last]) {
            $within[] = [min($first, $end), min($last, $end)];
        }

        return $within;
    }

    /**
     * @param  list<LeadStepResource>  $steps
     * @return array{list<LeadPieceResource>, list<LeadPhraseResource>}
     */
    public function of(array $steps): array
    {
        $pieces = $phrases = [];
        foreach ($steps as $step) {
            foreach ([$step, ...$step->again] as $one) {
                if ($one->pieceId === null || $one->first === null || $one->last === null) {
                    continue;
                }
                [$piece, $score] = $this->scores[$one->pieceId];
                $pieces[$piece->id] ??= new LeadPieceResource($piece->id, $piece->title, MusicXmlWriter::write($score->withoutTempo()));
                $phrases["{$piece->id} {$one->first} {$one->last}"] ??= new LeadPhraseResource($piece->id, $one->first, $one->last, PlaybackResource::of(Playback::range($score, $one->first, $one->last, $this->counting)));
            }
        }

        return [array_values($pieces), array_values($phrases)];
    }
}
