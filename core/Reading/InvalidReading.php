<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Refusal;

/** Landmarks that do not exist, or a sentence whose words do not begin with the letters of their places. */
final class InvalidReading extends Refusal
{
    public static function noLandmarkLevel(int $level): self
    {
        return new self("there are landmark levels 1, 2 and 3, not {$level}");
    }

    public static function noLandmark(): self
    {
        return new self('there is no landmark');
    }

    public static function sentenceTooLong(string $place, int $most): self
    {
        return new self("the sentence for the {$place}s is longer than ".$most.' letters');
    }

    public static function wordsMissing(string $place, string $letters, int $words): self
    {
        return new self("the sentence for the {$place}s needs ".strlen($letters).' words, one each for '.implode(', ', str_split($letters)).', and has '.$words);
    }

    public static function wordOfAnotherLetter(string $place, string $word, string $letter): self
    {
        return new self("the sentence for the {$place}s: '{$word}' should begin with {$letter}");
    }
}
