<?php

declare(strict_types=1);

namespace App\Lead;

use App\Http\Asked;

/** A minute of the teacher's voice, or none. The policy stands on the route. */
final class VoiceRequest extends Asked
{
    /** A minute at a good quality, as a data address; more is no minute. */
    public const LONGEST = 700_000;

    public const FORM = '~^data:audio/(webm|ogg|mp4|mpeg|wav)(;codecs=[\w.,"-]+)?;base64,[A-Za-z0-9+/]+={0,2}$~D';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['voice' => ['present', 'nullable', 'string', 'max:'.self::LONGEST, 'regex:'.self::FORM]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['voice.max' => 'This is longer than a minute. Record it again.', 'voice.regex' => 'This is no recording that can be played.'];
    }
}
