<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Score\Hand;

/** A step of a path: one of the trade's stages, or one that a teacher has made. */
final readonly class PathStep
{
    public const LONGEST_NAME = 40;

    /** What a stage of one's own may be done on. */
    private const CHUNKS = [ChunkKind::Whole, ChunkKind::Line, ChunkKind::HalfLine, ChunkKind::BarOver];

    private function __construct(
        public StageKind $kind,
        public string $name,
        public string $sentence,
        public string $passMark,
        public ?Petal $petal,
        public ?Hand $hand,
        public Effort $effort,
        public ChunkKind $chunks,
    ) {}

    public static function of(StageKind $kind): self
    {
        return new self($kind, $kind->value, $kind->sentence(), $kind->passMark(), $kind->petal(), $kind->hand(), $kind->effort(), $kind->chunks());
    }

    /**
     * @param  Hand|null  $hand  that does it alone; null for whichever plays
     * @param  string  $passMark  in her words; empty for what usually passes
     *
     * @throws InvalidPath without a name or a sentence, or with a name that a stage of the trade has
     */
    public static function own(string $name, string $sentence, string $passMark, ?Petal $petal, ?Hand $hand, PassMark $usually, ChunkKind $chunks): self
    {
        $name = trim($name);
        if ($name === '' || mb_strlen($name) > self::LONGEST_NAME || trim($sentence) === '') {
            throw InvalidPath::stageWithoutWords(self::LONGEST_NAME);
        }
        if (StageKind::tryFrom(mb_strtolower($name)) !== null) {
            throw InvalidPath::nameOfAnother($name);
        }
        if (! in_array($chunks, self::CHUNKS, true)) {
            throw InvalidPath::cannotBeDoneOn($name, $chunks->value);
        }

        return new self(StageKind::Own, $name, trim($sentence), trim($passMark) === '' ? $usually->label() : trim($passMark), $petal, $hand, $usually->effort(), $chunks);
    }

    /** The same for the same step of the same path, whatever stands before it. */
    public function key(): string
    {
        return $this->kind === StageKind::Own ? "own {$this->name}" : $this->kind->value;
    }
}
