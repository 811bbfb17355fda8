<?php

declare(strict_types=1);

namespace App\Student\Paths;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Path\PassMark;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathStep;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;

/** A path as the teacher has put it together. The policy stands on the route. */
final class PathRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $path = $this->route('path');

        return [
            'name' => ['required', 'string', 'max:60', Rule::unique('paths', 'name')->where('studio_id', $this->user()?->studio_id)->ignore(is_object($path) ? $path : null)],
            'steps' => ['present', 'array', 'max:'.Path::MOST_STEPS],
            'steps.*.kind' => ['required', Rule::enum(StageKind::class)],
            'steps.*.name' => ['present', 'nullable', 'string', 'max:'.PathStep::LONGEST_NAME],
            'steps.*.sentence' => ['present', 'nullable', 'string', 'max:240'],
            'steps.*.passMark' => ['present', 'nullable', 'string', 'max:190'],
            'steps.*.petal' => ['present', 'nullable', Rule::enum(Petal::class)],
            'steps.*.hand' => ['present', 'nullable', Rule::enum(Hand::class)],
            'steps.*.usually' => ['required', Rule::enum(PassMark::class)],
            'steps.*.chunks' => ['required', Rule::enum(ChunkKind::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.unique' => 'There is a path of this name already.', 'name.required' => 'Give the path a name.'];
    }

    /** @throws ValidationException under the name `steps` */
    public function asPath(): Path
    {
        try {
            return Path::own($this->string('name')->trim()->toString(), array_values(array_map(self::step(...), (array) $this->input('steps'))));
        } catch (Refusal $reason) {
            throw ValidationException::withMessages(['steps' => ucfirst($reason->getMessage()).'.']);
        }
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws InvalidScore
     */
    private static function step(array $given): PathStep
    {
        $kind = StageKind::from((string) $given['kind']);

        return $kind === StageKind::Own
            ? PathStep::own(
                (string) $given['name'],
                (string) $given['sentence'],
                (string) $given['passMark'],
                isset($given['petal']) ? Petal::from((string) $given['petal']) : null,
                isset($given['hand']) ? Hand::from((string) $given['hand']) : null,
                PassMark::from((string) $given['usually']),
                ChunkKind::from((string) $given['chunks']),
            )
            : PathStep::of($kind);
    }
}
