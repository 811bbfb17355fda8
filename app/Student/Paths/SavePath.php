<?php

declare(strict_types=1);

namespace App\Student\Paths;

use App\Student\Learning\Learning;
use App\Student\Learning\OpenManyAgain;
use App\Student\Learning\Stage;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Path\Effort;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathStep as Step;

/** Keeps a path of the studio, or gives one up. Open pages follow, without losing what was passed. */
final class SavePath
{
    public function __construct(private readonly OpenManyAgain $open) {}

    public function __invoke(OwnPath $kept, Path $path): void
    {
        DB::transaction(function () use ($kept, $path): void {
            $kept->fill(['name' => $path->name])->save();
            $kept->steps()->delete();
            foreach ($path->steps as $position => $step) {
                PathStep::query()->create([
                    ...Stage::columnsOf($step),
                    ...self::more($step),
                    'studio_id' => $kept->studio_id,
                    'path_id' => $kept->id,
                    'position' => $position,
                ]);
            }
            ($this->open)(self::openOn($kept));
        });
    }

    /** Pages and students that are on it go back to the path that ships. */
    public function forget(OwnPath $kept): void
    {
        DB::transaction(function () use ($kept): void {
            $open = self::openOn($kept);
            $kept->delete();
            ($this->open)($open);
        });
    }

    /** @return array<string, mixed> */
    private static function more(Step $step): array
    {
        return ['chunks' => $step->chunks->value, 'three_in_a_row' => $step->effort === Effort::ThreeInARow];
    }

    /** @return list<int> */
    private static function openOn(OwnPath $path): array
    {
        return array_values(Learning::query()->where('path_id', $path->id)->where('state', '!=', 'finished')->orderByDesc('id')->pluck('id')->all());
    }
}
