<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Formats\BadInput;

/** Why a picture cannot be read, and what would help. */
final class BadPhoto extends BadInput
{
    public static function noPicture(): self
    {
        return new self('This is no picture that can be opened. JPEG and PNG can.');
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self("The picture is {$width} by {$height} points, more than can be read. Half of that is plenty.");
    }

    public static function noStaves(): self
    {
        return new self('No staves can be seen. Take the page again, from straight above, with the whole staves in the picture.');
    }

    public static function tooSmall(float $space): self
    {
        return new self(sprintf('The notes are too small in this picture: the lines stand %.0f points apart, and 9 are needed. Take it again, nearer.', $space));
    }
}
