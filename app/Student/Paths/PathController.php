<?php

declare(strict_types=1);

namespace App\Student\Paths;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Nasturtium\Core\Path\PathKind;

/** The paths on which pages are learnt: those that ship, then the studio's own. */
final class PathController
{
    #[Get('/paths', PathResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        $own = OwnPath::query()->where('studio_id', $studio->get()->id)->with('steps')->orderBy('name')->get();

        return new JsonResponse([...array_map(PathResource::shipped(...), PathKind::cases()), ...$own->map(PathResource::of(...))]);
    }

    #[Post('/paths', PathResource::class)]
    public function store(PathRequest $request, CurrentStudio $studio, SavePath $save): JsonResponse
    {
        return $this->save(new OwnPath(['studio_id' => $studio->get()->id]), $request, $save);
    }

    #[Put('/paths/{path}', PathResource::class)]
    public function update(PathRequest $request, OwnPath $path, SavePath $save): JsonResponse
    {
        return $this->save($path, $request, $save);
    }

    #[Delete('/paths/{path}')]
    public function destroy(OwnPath $path, SavePath $save): Response
    {
        $save->forget($path);

        return new Response(status: 204);
    }

    private function save(OwnPath $kept, PathRequest $request, SavePath $save): JsonResponse
    {
        $save($kept, $request->asPath());

        return new JsonResponse(PathResource::of($kept->load('steps')));
    }
}
