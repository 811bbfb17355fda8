<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\CurrentStudio;
use App\Account\Studio;
use App\Account\User;
use App\Api\Delete;
use App\Api\Download;
use App\Api\Get;
use App\Api\Post;
use App\Http\DownloadName;
use App\Privacy\NoteAccess;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The archive of a whole studio: packed, fetched, and put back, by the queue. */
final class ArchiveController
{
    /** The last of each kind. */
    #[Get('/studios/{studio}/archives', ArchiveResource::class, many: true)]
    public function index(Studio $studio): JsonResponse
    {
        return new JsonResponse(Archive::query()->where('studio_id', $studio->id)->orderByDesc('id')->get()->unique('kind')->values()->map(ArchiveResource::of(...)));
    }

    #[Post('/studios/{studio}/archives', ArchiveResource::class)]
    public function store(Studio $studio, #[CurrentUser] User $user): JsonResponse
    {
        NoteAccess::ofStudio($user->name, $studio->id);

        return new JsonResponse(ArchiveResource::of(Archive::begin($studio, ArchiveKind::Pack)));
    }

    #[Post('/studios/{studio}/restore', ArchiveResource::class)]
    public function restore(RestoreRequest $request, Studio $studio): JsonResponse
    {
        $file = $request->file('file');
        $kept = $file instanceof UploadedFile ? $file->store('', ['disk' => Archive::DISK]) : false;

        return new JsonResponse(ArchiveResource::of(Archive::begin($studio, ArchiveKind::Restore, $kept === false ? null : $kept)));
    }

    #[Download('/archives/{archive}')]
    public function show(Archive $archive, CurrentStudio $studio): StreamedResponse
    {
        $stream = $archive->kind === ArchiveKind::Pack && $archive->file !== null && Storage::disk(Archive::DISK)->exists($archive->file) ? Storage::disk(Archive::DISK)->readStream($archive->file) : null;
        if ($stream === null) {
            throw new NotFoundHttpException('This archive is not there any more. Pack another one.');
        }

        return new StreamedResponse(static fn (): int => fpassthru($stream), 200, [
            'Content-Type' => 'application/zip',
            'Content-Length' => (string) Storage::disk(Archive::DISK)->size($archive->file),
            'Content-Disposition' => DownloadName::of("{$studio->get()->name} {$studio->today()->toDateString()}", 'zip'),
        ]);
    }

    /** Stops it; what was packed is gone. Whoever may restore may stop that. */
    #[Delete('/archives/{archive}')]
    public function destroy(Archive $archive): Response
    {
        Gate::authorize($archive->kind === ArchiveKind::Restore ? 'lead' : 'own', $archive);
        $archive->erase();

        return new Response(status: 204);
    }
}
