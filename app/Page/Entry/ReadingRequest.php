<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Formats\HowToRead;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Score\Fraction;

/** A score as a file, and how it is to be read. The policy stands on the route. */
class ReadingRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:5120'],
            'part' => ['nullable', 'string', 'max:60'],
            'left' => ['nullable', 'string', 'max:60'],
            'duet' => ['nullable', 'string', 'max:60'],
            'grid' => ['nullable', Rule::enum(Grid::class)],
            'pickup' => ['nullable', 'string', 'max:5', 'regex:~^\d{1,2}(/(1|2|4|8|16|32))?$~D'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.max' => 'The file is over 5 MB. A page of music is far smaller; export this one piece alone.',
            'file.uploaded' => 'The file did not arrive whole; it may be over 5 MB. Export this one piece alone and try again.',
        ];
    }

    public function bytes(): string
    {
        $path = $this->uploaded();

        return $path === '' ? '' : (string) file_get_contents($path);
    }

    /** How the teacher wants it read; what she leaves open is left to the reader. */
    public function how(): HowToRead
    {
        return new HowToRead($this->parts(), Grid::tryFrom($this->string('grid')->toString()), $this->pickup());
    }

    private function parts(): ?PartChoice
    {
        $part = fn (string $name): ?string => $this->filled($name) ? $this->string($name)->toString() : null;
        $student = $part('part');

        return $student === null ? null : new PartChoice($student, $part('left'), $part('duet'));
    }

    private function pickup(): ?Fraction
    {
        [$over, $under] = [...explode('/', $this->string('pickup')->toString()), '1'];

        return $this->filled('pickup') ? Fraction::of((int) $over, (int) $under) : null;
    }
}
