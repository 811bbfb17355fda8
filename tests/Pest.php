<?php

declare(strict_types=1);

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Nasturtium\Core\Formats\Book\BookArchive;
use Nasturtium\Core\Formats\Book\BookFinger;
use Nasturtium\Core\Formats\Book\BookPiece;
use Nasturtium\Core\Formats\Book\ContentsRow;
use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;
use Tests\TestCase;

uses(TestCase::class, RefreshDatabase::class)->in('Feature');

/** What was erased in a test before is forgotten. */
function without_erasures(): void
{
    $file = config('nasturtium.erasures');
    if (is_string($file) && is_file($file)) {
        unlink($file);
    }
}

/** A small tune, typed in the shorthand; the test fails when it cannot be read whole. */
function tune(string $shorthand): Piece
{
    $read = ShorthandReader::read($shorthand);
    expect($read->errors)->toBe([]);

    return $read->piece ?? throw new LogicException('the tune is empty');
}

/** @return array<string, mixed> a breakdown as the document that is printed and served */
function document(Breakdown $breakdown): array
{
    return json_decode(json_encode(ReportDocument::of($breakdown), JSON_THROW_ON_ERROR), true, flags: JSON_THROW_ON_ERROR);
}

/** @return array<string, mixed> the breakdown report of a typed tune */
function broken_down(string $shorthand, ?Settings $settings = null): array
{
    return document(Breakdown::of(tune($shorthand), $settings ?? new Settings()));
}

/** One bar of one hand of the counting, as text. */
function counted(array $report, int $measure, string $hand = 'R'): ?string
{
    foreach ($report['counting'] as $row) {
        if ($row['measure'] === $measure && $row['hand'] === $hand) {
            return $row['text'];
        }
    }

    return null;
}

/** @return list<mixed> one field of every event of a hand */
function each_event(array $report, string $field, string $hand = 'R'): array
{
    return array_values(array_map(
        static fn (array $event): mixed => $event[$field],
        array_filter($report['events'], static fn (array $event): bool => $event['hand'] === $hand),
    ));
}

/** @return list<string> `place pitches | staff | fingers | move | counts` of a hand */
function worked_out(array $report, string $hand): array
{
    $rows = [];
    foreach ($report['events'] as $event) {
        if ($event['hand'] === $hand) {
            $rows[] = implode(' | ', [
                $event['place'].' '.(implode('+', $event['pitches']) ?: 'rest'),
                implode('+', $event['staff']) ?: '-',
                implode('+', $event['fingers']) ?: '-',
                $event['move'] ?? '-',
                implode(' ', $event['counts']),
            ]);
        }
    }

    return $rows;
}

/** @return array<string, mixed> the report of a tune of the demo books */
function demo_report(string $title, ?Settings $settings = null): array
{
    foreach (require __DIR__.'/../database/demo/books.php' as $book) {
        foreach ($book['pages'] as [, , $tunes]) {
            foreach ($tunes as $tune) {
                if (str_contains($tune, "title: {$title}\n")) {
                    return broken_down($tune, $settings);
                }
            }
        }
    }
    throw new LogicException("there is no tune '{$title}'");
}

/** A score around the given measures, with a prolog of its own. */
function musicxml(string $measures, string $prolog = '<?xml version="1.0" encoding="UTF-8"?>'): string
{
    return <<<XML
    {$prolog}
    <score-partwise version="4.0">
      <work><work-title>Porch Light</work-title></work>
      <part-list><score-part id="P1"><part-name>Piano</part-name></score-part></part-list>
      <part id="P1">{$measures}</part>
    </score-partwise>
    XML;
}

function xml_note(string $pitch, int $duration, string $more = '', int $staff = 1): string
{
    $octave = substr($pitch, -1);

    return "<note><pitch><step>{$pitch[0]}</step><octave>{$octave}</octave></pitch><duration>{$duration}</duration><voice>{$staff}</voice><staff>{$staff}</staff>{$more}</note>";
}

/** Two parts of one staff each, as some programs write the two hands. */
function two_parts(): string
{
    return '<score-partwise version="4.0"><part-list><score-part id="P1"><part-name>Right</part-name></score-part><score-part id="P2"><part-name>Left</part-name></score-part></part-list>'
        .'<part id="P1"><measure number="1"><attributes><divisions>2</divisions><clef><sign>G</sign><line>2</line></clef></attributes>'.xml_note('G4', 8).'</measure></part>'
        .'<part id="P2"><measure number="1"><attributes><divisions>2</divisions><clef><sign>F</sign><line>4</line></clef></attributes>'.xml_note('C3', 8).'</measure></part></score-partwise>';
}

const GRAND = '<attributes><divisions>2</divisions><key><fifths>0</fifths></key><time><beats>3</beats><beat-type>4</beat-type></time><staves>2</staves>'
    .'<clef number="1"><sign>G</sign><line>2</line></clef><clef number="2"><sign>F</sign><line>4</line></clef></attributes>';

/** @return array<string, mixed> */
function read_report(string $xml): array
{
    $score = MusicXmlReader::read($xml);

    return document(Breakdown::of($score->piece, new Settings(), $score->notRead));
}

/** @param array<string, string> $files */
function zipped(array $files): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'mxl');
    $zip = new ZipArchive();
    $zip->open($path, ZipArchive::OVERWRITE);
    foreach ($files as $name => $content) {
        $zip->addFromString($name, $content);
    }
    $zip->close();
    $bytes = (string) file_get_contents($path);
    unlink($path);

    return $bytes;
}

const CONTAINER = '<container><rootfiles><rootfile full-path="score.xml"/></rootfiles></container>';

/** The bytes of a book's archive. */
function packed(BookArchive $book): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'book');
    $book->pack($path);
    $bytes = (string) file_get_contents($path);
    unlink($path);

    return $bytes;
}

/** A book from the bytes of its archive, with all its pieces. */
function unpacked(string $bytes): BookArchive
{
    $path = (string) tempnam(sys_get_temp_dir(), 'book');
    file_put_contents($path, $bytes);
    try {
        return BookArchive::read($path, static fn (BookArchive $book): BookArchive => new BookArchive($book->title, $book->level, $book->contents, iterator_to_array($book->pieces, false)));
    } finally {
        unlink($path);
    }
}

/** A book of two pages and two pieces. */
function small_book(): BookArchive
{
    $music = MusicXmlWriter::write(tune("title: Two Snails\nR: @c4 w1\n"));

    return new BookArchive('The Windowsill Book', 'First steps', [
        new ContentsRow(4, '', PageKind::Pieces, 'middle C'),
        new ContentsRow(9, 'Lines and spaces', PageKind::Theory, ''),
    ], [
        new BookPiece(4, 'A', 'Two Snails', $music, "title: Two Snails\nR: @c4 w1\n", null),
        new BookPiece(4, 'B', '=Again', $music, null, $music, -1, [new BookFinger(Hand::Right, '1.1', 'C4', 2)], [1 => Verdict::Hard]),
    ]);
}

/** How many queries a request takes. */
function queries_of(Closure $request): int
{
    DB::flushQueryLog();
    DB::enableQueryLog();
    $request();
    DB::disableQueryLog();

    return count(DB::getQueryLog());
}

/**
 * A teacher with a studio of her own.
 *
 * @param  array<string, mixed>  $of  columns of a user
 */
function teacher_of(array $of): User
{
    $user = User::query()->create($of);
    Membership::of($user->studio()->firstOrFail(), $user, Role::Owner);

    return $user;
}

/** @return list<array<string, mixed>> the tasks of a week as they are sent back */
function as_sent(array $week): array
{
    return array_map(fn (array $task): array => [
        'id' => $task['id'], 'kind' => $task['kind'], 'title' => $task['title'], 'instruction' => $task['instruction'],
        'learningId' => $task['learningId'], 'hand' => $task['hand'], 'repetitions' => $task['repetitions'], 'tempo' => $task['tempo'],
        'minutes' => $task['minutes'], 'starred' => $task['starred'], 'mostDays' => $task['mostDays'],
        'dates' => $task['dates'], 'locked' => $task['locked'], 'off' => $task['off'],
    ], $week['tasks']);
}

/** @return array{int, string, string} exit code, output, errors of a command that is run on its own */
function artisan_on_its_own(string ...$arguments): array
{
    $process = proc_open([PHP_BINARY, base_path('artisan'), ...$arguments], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
    $said = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

    return [proc_close($process), ...$said];
}
