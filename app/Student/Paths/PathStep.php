<?php

declare(strict_types=1);

namespace App\Student\Paths;

use Illuminate\Database\Eloquent\Model;
use Nasturtium\Core\Path\PassMark;
use Nasturtium\Core\Path\PathStep as Step;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Score\Hand;

/**
 * A step of a teacher's path; all but the kind is of a stage of her own.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $path_id
 * @property int $position
 * @property StageKind $kind
 * @property string $name
 * @property string $sentence
 * @property string $pass_mark
 * @property ?Petal $petal
 * @property ?Hand $hand
 * @property ChunkKind $chunks
 * @property bool $three_in_a_row
 */
final class PathStep extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    public function step(): Step
    {
        return $this->kind === StageKind::Own
            ? Step::own(
                $this->name,
                $this->sentence,
                $this->pass_mark,
                $this->petal,
                $this->hand,
                PassMark::of($this->three_in_a_row),
                $this->chunks,
            )
            : Step::of($this->kind);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => StageKind::class, 'petal' => Petal::class, 'hand' => Hand::class, 'chunks' => ChunkKind::class, 'three_in_a_row' => 'boolean'];
    }
}
