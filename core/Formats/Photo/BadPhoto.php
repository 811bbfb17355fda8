<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Formats\BadInput;

/** Why a picture cannot be read, and what would help. */
final class BadPhoto extends BadInput
{
    public static function noPicture(): self
    {
        return new self('This is no picture that can be opened. JPEG, PNG and PDF can.');
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self("The picture is {$width} by {$height} points, more than can be read. Half of that is plenty.");
    }

    public static function notKept(): self
    {
        return new self('What was read of this page cannot be opened any more. Take the picture again.');
    }

    public static function stopped(): self
    {
        return new self('The reading was stopped.');
    }

    public static function noPdf(): self
    {
        return new self('Pages of a PDF cannot be opened on this machine. Save the page as a picture, or take a photo of it.');
    }

    public static function badPdf(int $page): self
    {
        return new self("Page {$page} of this PDF cannot be opened. See whether the file has that many pages, and whether it asks for a password.");
    }

    public static function pdfTooHeavy(): self
    {
        return new self('This page of the PDF takes too long to draw. Save it as a picture, or take a photo of it.');
    }

    public static function noCorners(): self
    {
        return new self('These corners do not go round a page. Drag each to its own corner of the page.');
    }

    public static function tooFaint(): self
    {
        return new self('The print is too faint in this picture. Take it again with more light, or scan it darker.');
    }

    public static function tooBlurred(): self
    {
        return new self('The picture is blurred. Hold the camera still, and let it focus on the notes before you take it again.');
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
