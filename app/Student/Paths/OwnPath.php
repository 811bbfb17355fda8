<?php

declare(strict_types=1);

namespace App\Student\Paths;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Path\Path;

/**
 * A path that a teacher has made.
 *
 * @property int $id
 * @property int $studio_id
 * @property string $name
 * @property-read Collection<int, PathStep> $steps
 */
final class OwnPath extends Model
{
    protected $table = 'paths';

    protected $guarded = [];

    public function path(): Path
    {
        return Path::own($this->name, array_values($this->steps->sortBy('position')->map(static fn (PathStep $step) => $step->step())->all()));
    }

    /** @return HasMany<PathStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(PathStep::class, 'path_id');
    }
}
