<?php

declare(strict_types=1);

namespace App\Student\Family;

use App\Api\Delete;
use App\Api\Post;
use App\Api\Put;
use App\Student\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Private links that open the home side of one student. */
final class FamilyLinkController
{
    #[Post('/students/{student}/links', FamilyLinkResource::class)]
    public function store(FamilyLinkRequest $request, Student $student): JsonResponse
    {
        if ($student->load('studio')->needsConsent()) {
            throw ValidationException::withMessages(['consent' => "{$student->first_name} is under {$student->studio->consent_age}: note a parent’s consent first, on this page."]);
        }
        $token = Str::random(40);
        $link = FamilyLink::query()->create([
            'studio_id' => $student->studio_id,
            'student_id' => $student->id,
            'label' => $request->string('label')->toString(),
            'expires_on' => $request->input('expiresOn'),
            'token_hash' => FamilyLink::hash($token),
        ]);

        return new JsonResponse(FamilyLinkResource::of($link->load('siblings'), $token));
    }

    /** Joins the other children of the family to a link, or takes them off it. */
    #[Put('/links/{link}/siblings', FamilyLinkResource::class)]
    public function siblings(SiblingsRequest $request, FamilyLink $link): JsonResponse
    {
        foreach (Student::query()->with('studio')->whereKey(array_map(intval(...), (array) $request->input('studentIds')))->get() as $child) {
            if ($child->needsConsent()) {
                throw ValidationException::withMessages(['consent' => "{$child->first_name} is under {$child->studio->consent_age}: note a parent’s consent first, on {$child->first_name}’s page."]);
            }
        }
        $link->siblings()->sync(array_diff(array_map(intval(...), (array) $request->input('studentIds')), [$link->student_id]));

        return new JsonResponse(FamilyLinkResource::of($link->load('siblings')));
    }

    #[Delete('/links/{link}')]
    public function destroy(FamilyLink $link): Response
    {
        $link->update(['withdrawn_at' => $link->withdrawn_at ?? now()]);

        return new Response(status: 204);
    }
}
