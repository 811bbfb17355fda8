<?php

declare(strict_types=1);

namespace App\Desk;

use App\Http\Asked;
use Closure;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Key;

/** Which position a piece is moved to. The policy stands on the route. */
final class PositionRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'key' => ['required', 'string', 'max:12', static function (string $name, mixed $value, Closure $fail): void {
                try {
                    Key::parse((string) $value);
                } catch (Refusal $reason) {
                    $fail($reason->getMessage());
                }
            }],
            'direction' => ['nullable', 'integer', 'in:-1,0,1'],
        ];
    }

    public function key(): Key
    {
        return Key::parse($this->string('key')->toString());
    }
}
