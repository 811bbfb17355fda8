<?php

declare(strict_types=1);

namespace App\Lead;

use App\Api\Get;
use App\Student\Family\FamilyLink;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Led practice at home: the tasks of today as a teacher goes through them who sits beside. */
final class LeadController
{
    #[Get('/home/lead', LeadResource::class, query: ['student' => 'integer'])]
    public function show(Request $request, LeadDay $lead): JsonResponse
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);

        return new JsonResponse($lead($link->child($request->integer('student', $link->student_id))));
    }
}
