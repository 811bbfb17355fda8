<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\HandSwap;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Transposition;

/** A change to the whole of what is typed. The policy stands on the route. */
final class ShorthandChangeRequest extends ShorthandRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'change' => ['required', 'in:swap,octave up,octave down,transpose,tidy'],
            'key' => ['required_if:change,transpose', 'nullable', 'string', 'max:12'],
            'direction' => ['nullable', 'integer', 'in:-1,0,1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['key.required_if' => 'Say the key it moves to, such as G, Bb or E minor.'];
    }

    /** @throws ValidationException when it would leave the keyboard, or a token cannot be read */
    public function change(Piece $piece): Piece
    {
        if (ShorthandReader::read($this->string('shorthand')->toString())->errors !== []) {
            throw ValidationException::withMessages(['shorthand' => 'Correct what is marked first: what cannot be read would be lost.']);
        }
        try {
            $changed = match ($this->string('change')->toString()) {
                'swap' => HandSwap::of($piece),
                'octave up' => Transposition::byOctaves($piece, 1),
                'octave down' => Transposition::byOctaves($piece, -1),
                'transpose' => Transposition::to($piece, Key::parse($this->string('key')->toString()), $this->integer('direction')),
                default => $piece,
            };
        } catch (Refusal $reason) {
            throw ValidationException::withMessages(['key' => ucfirst($reason->getMessage()).'.']);
        }
        foreach ($changed->measures as $measure) {
            foreach ($measure->events() as $event) {
                foreach ($event->notes as $note) {
                    if (! $note->pitch->isOnKeyboard()) {
                        throw ValidationException::withMessages(['change' => "Bar {$measure->number} would leave the keyboard."]);
                    }
                }
            }
        }

        return $changed;
    }
}
