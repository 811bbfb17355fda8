<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Api\Download;
use App\Http\DownloadName;
use Illuminate\Http\Response;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\MusicXml\ScoreFile;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;

/** A piece as a file of an open format. */
final class PieceFileController
{
    private const TYPES = [
        'musicxml' => 'application/vnd.recordare.musicxml+xml',
        'mxl' => 'application/vnd.recordare.musicxml',
        'mid' => 'audio/midi',
        'txt' => 'text/plain; charset=utf-8',
    ];

    #[Download('/pieces/{piece}/file')]
    public function show(PieceFileRequest $request, Piece $piece): Response
    {
        $score = $piece->score();
        $format = $request->fileFormat();
        $bytes = match ($format) {
            'mxl' => ScoreFile::compressed(MusicXmlWriter::write($score)),
            'mid' => MidiWriter::write($score, $request->boolean('countIn')),
            'txt' => $piece->shorthand ?? ShorthandWriter::write($score)->text,
            default => MusicXmlWriter::write($score),
        };

        return new Response($bytes, 200, [
            'Content-Type' => self::TYPES[$format] ?? 'application/octet-stream',
            'Content-Disposition' => DownloadName::of($piece->title, $format),
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
