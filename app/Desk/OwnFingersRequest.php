<?php

declare(strict_types=1);

namespace App\Desk;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Score\Hand;

/** The teacher's fingers of a piece, all of them. The policy stands on the route. */
final class OwnFingersRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fingers' => ['present', 'array', 'max:2000'],
            'fingers.*.hand' => ['required', Rule::enum(Hand::class)],
            'fingers.*.place' => ['required', 'string', 'max:16', 'regex:/^\d+\.\d+(\+\d+\/\d+)?$/'],
            'fingers.*.pitch' => ['required', 'string', 'regex:/^[A-G](#{1,2}|b{1,2})?-?\d{1,2}$/'],
            'fingers.*.finger' => ['required', 'integer', 'between:1,5'],
        ];
    }

    /** @return list<array{hand: string, place: string, pitch: string, finger: int}> one for each note, the last word counts */
    public function fingers(): array
    {
        $fingers = [];
        foreach ((array) $this->input('fingers') as $one) {
            $fingers["{$one['hand']} {$one['place']} {$one['pitch']}"] = ['hand' => (string) $one['hand'], 'place' => (string) $one['place'], 'pitch' => (string) $one['pitch'], 'finger' => (int) $one['finger']];
        }

        return array_values($fingers);
    }
}
