<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Drill\DrillAnswer;
use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Sheet\MakeSheet;
use Nasturtium\Core\Sheet\SheetKind;

/** What a worksheet is made of. The policy stands on the route. */
final class SheetRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(SheetKind::class)],
            'count' => ['required', 'integer', 'between:1,'.MakeSheet::MOST],
            'hard' => ['required', 'integer', 'between:1,'.MakeSheet::HARDEST],
            'clefs' => ['required', 'array', 'min:1', 'max:2'],
            'clefs.*' => ['string', Rule::in([Clef::Treble->value, Clef::Bass->value])],
            'seed' => ['required', 'integer', 'between:1,1000000000'],
            'studentId' => ['present', 'nullable', 'integer'],
            'pieceId' => ['present', 'nullable', 'integer'],
            'notes' => ['present', 'nullable', 'array', 'max:60'],
            'notes.*' => ['string', 'max:20', 'regex:/^'.DrillAnswer::CHOSEN.'$/D'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['clefs.required' => 'Choose at least one staff.', 'notes.*.regex' => 'Write a note as treble:C4 or bass:F#3.'];
    }

    public function kind(): SheetKind
    {
        return SheetKind::from($this->string('kind')->toString());
    }

    /** @return list<Clef> */
    public function clefs(): array
    {
        return array_map(Clef::from(...), $this->texts('clefs'));
    }

    /** @return list<string> `treble:C4`; none where none were chosen */
    public function notes(): array
    {
        return $this->texts('notes');
    }

    /** @return list<string> */
    private function texts(string $name): array
    {
        return array_values(array_map(strval(...), (array) $this->input($name)));
    }
}
