<?php

declare(strict_types=1);

namespace App\Archive;

use App\Page\Piece\NoteNames;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;

/** What is kept beside the music of a piece follows from it, whatever an archive says. */
final class KeptMusic
{
    public function __construct(private readonly NoteNames $names) {}

    /**
     * @param  array<string, mixed>  $row  of a piece, its music read and written
     * @return array<string, mixed>
     */
    public function described(array $row): array
    {
        if ($row['music'] === null) {
            return [...$row, 'measures' => 0, 'note_names' => ''];
        }
        $score = MusicXmlReader::kept(is_string($row['music']) ? $row['music'] : '');

        return [...$row, 'measures' => count($score->measures), 'note_names' => $this->names->of($score->measures)];
    }
}
