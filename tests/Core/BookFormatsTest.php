<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Book\BookArchive;
use Nasturtium\Core\Formats\Book\BookPiece;
use Nasturtium\Core\Formats\Book\Contents;
use Nasturtium\Core\Formats\Book\ContentsRow;
use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Formats\Csv;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;

/** @return list<string> rows as `page title kind introduces` */
function contents_of(string $csv): array
{
    return array_map(fn (ContentsRow $row): string => "{$row->page} {$row->title} {$row->kind->value} {$row->introduces}", Contents::read($csv)->rows);
}

test('a table of contents is read as a teacher keeps it', function (string $csv): void {
    expect(contents_of($csv))->toBe(['4 Two Snails pieces middle C', '9 Lines, spaces theory ', '12 Owl and Mole duet echo'])
        ->and(Contents::read($csv)->errors)->toBe([]);
})->with([
    'with headings' => ["page,title,kind,introduces\n4,Two Snails,pieces,middle C\n9,\"Lines, spaces\",theory,\n12,Owl and Mole,duet,echo\n"],
    'without headings' => ["4,Two Snails,,middle C\n9,\"Lines, spaces\",Theory\n\n12,Owl and Mole,Duet,echo\n"],
    'columns in another order, semicolons, a mark at the start' => ["\xEF\xBB\xBFKind;What it introduces;Page;Title\npiece;middle C;4;Two Snails\ntheory;;9;Lines, spaces\nduets;echo;12;Owl and Mole\n"],
    'tabs and another line end' => ["page\ttitle\tkind\tnew\r\n4\tTwo Snails\texercise\tmiddle C\r\n9\tLines, spaces\ttheory\t\r\n12\tOwl and Mole\tduet\techo\r\n"],
]);

test('an older encoding is understood', function (): void {
    expect(contents_of("page,title\n3,Caf\xE9\n"))->toBe(['3 Café pieces ']);
});

test('errors name their row, and then no row counts', function (): void {
    $contents = Contents::read("page,title,kind\n4,Two Snails,pieces\nfive,The Gate,pieces\n6,The Latch,dance\n4,Again,pieces\n7,".str_repeat('x', 121).",pieces\n0,None,theory\n");
    expect($contents->rows)->toBe([])->and($contents->errors)->toBe([
        "Row 3: 'five' is not a page number from 1 to 999.",
        "Row 4: 'dance' is not a kind of page; they are pieces, theory, listening and duet.",
        'Row 5: page 4 stands in row 2 already.',
        'Row 6: the title is longer than 120 characters.',
        "Row 7: '0' is not a page number from 1 to 999.",
    ]);
});

test('what is no table is refused', function (string $csv, string $says): void {
    expect(fn () => Contents::read($csv))->toThrow(BadInput::class, $says);
})->with([
    ['', 'The table is empty'],
    [str_repeat('x', 1024 * 1024 + 1), 'over 1 MB'],
    [str_repeat("1,a\n", 2002), 'more than 2000 rows'],
]);

test('cells with commas, quotes and lines come back, and none is a formula', function (): void {
    $csv = Csv::write([['a,b', 'say "yes"', "two\nlines", 7, '=1+1', '-3']]);
    expect($csv)->toBe("\xEF\xBB\xBF\"a,b\",\"say \"\"yes\"\"\",\"two\nlines\",7,'=1+1,'-3\r\n")
        ->and(Csv::read($csv))->toBe([1 => ['a,b', 'say "yes"', "two\nlines", '7', '=1+1', '-3']]);
});

test('a book goes into an archive and comes out the same', function (): void {
    expect(unpacked(packed(small_book())))->toEqual(small_book());
});

test('a broken archive is refused with the file and row', function (Closure $change, string $says): void {
    $files = [];
    $path = (string) tempnam(sys_get_temp_dir(), 'book');
    file_put_contents($path, packed(small_book()));
    $zip = new ZipArchive();
    $zip->open($path);
    for ($i = 0; $i < $zip->numFiles; $i++) {
        $files[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
    }
    $zip->close();
    unlink($path);
    expect(fn () => unpacked(zipped($change($files))))->toThrow(BadInput::class, $says);
})->with([
    'another archive' => [fn (array $files): array => ['readme.txt' => 'x'], "has no 'book.csv' in it"],
    'no title' => [fn (array $files): array => ['book.csv' => "title,level\n,x\n"] + $files, 'book.csv, row 2'],
    'a bad row' => [fn (array $files): array => ['contents.csv' => "page,title,kind\nx,y,pieces\n"] + $files, "contents.csv, Row 2: 'x' is not a page number"],
    'a page that is not there' => [fn (array $files): array => ['pieces.csv' => "page,label,title,music,shorthand,duet\n77,A,x,pieces/004A-1.musicxml,,\n"] + $files, "pieces.csv, row 2: the book has no page '77'"],
    'music that is not there' => [fn (array $files): array => ['pieces.csv' => "page,label,title,music,shorthand,duet\n4,A,x,../../etc/passwd,,\n"] + $files, "has no '../../etc/passwd'"],
    'an octave out of reach' => [fn (array $files): array => ['pieces.csv' => "page,label,title,music,shorthand,duet,octave\n4,A,x,pieces/004A-1.musicxml,,,3\n"] + $files, 'pieces.csv, row 2: the octave is a number from -2 to 2'],
    'a finger that is none' => [fn (array $files): array => ['pieces/004B-2.fingers.csv' => "hand,place,note,finger\nR,1.1,C4,6\n"] + $files, 'pieces/004B-2.fingers.csv, row 2: this is no finger'],
    'a verdict that is none' => [fn (array $files): array => ['pieces/004B-2.verdicts.csv' => "bar,verdict\n1,soft\n"] + $files, 'pieces/004B-2.verdicts.csv, row 2: this is no verdict'],
    'music that cannot be read' => [fn (array $files): array => ['pieces/004A-1.musicxml' => '<score-partwise/>'] + $files, 'pieces/004A-1.musicxml: The file has no part'],
]);

test('an archive that is none, or too large, is refused', function (): void {
    expect(fn () => unpacked('PK nothing'))->toThrow(BadInput::class, 'cut short or damaged')
        ->and(fn () => unpacked(str_repeat('x', 20 * 1024 * 1024 + 1)))->toThrow(BadInput::class, 'over 20 MB')
        ->and(fn () => unpacked(zipped(array_fill_keys(array_map(fn (int $n): string => "f{$n}", range(1, 10001)), 'x'))))->toThrow(BadInput::class, 'too many files');
});

test('an archive of before, without octaves, fingers and verdicts, is read', function (): void {
    $music = small_book()->pieces[0]->music ?? '';
    $book = unpacked(zipped(['book.csv' => "title,level\nOld,\n", 'contents.csv' => "page,title,kind\n4,A,pieces\n", 'pieces.csv' => "page,label,title,music,shorthand,duet\n4,A,x,pieces/1.musicxml,,\n", 'pieces/1.musicxml' => $music]));
    expect($book->pieces[0])->toEqual(new BookPiece(4, 'A', 'x', $music, null, null));
});

test('a page of rests that was kept comes back with its book', function (): void {
    $music = MusicXmlWriter::write(tune("R: rw | rw\n"));
    expect(unpacked(packed(new BookArchive('B', '', [new ContentsRow(1, '', PageKind::Pieces, '')], [new BookPiece(1, '', 'Rests', $music, null, null)])))->pieces[0]->music)->toBe($music);
});

test('an entry takes no more room than it needs, however many there are', function (): void {
    $path = (string) tempnam(sys_get_temp_dir(), 'book');
    $music = small_book()->pieces[0]->music ?? '';
    $pieces = (static function () use ($music): Generator {
        for ($number = 1; $number <= 300; $number++) {
            yield new BookPiece(1 + $number % 90, chr(65 + $number % 26), "Piece {$number}", $music.str_repeat(' ', 100_000), null, null);
        }
    })();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    (new BookArchive('Large', '', array_map(static fn (int $page): ContentsRow => new ContentsRow($page, '', PageKind::Pieces, ''), range(1, 90)), $pieces))->pack($path);
    $count = BookArchive::read($path, static fn (BookArchive $book): int => iterator_count($book->pieces));
    unlink($path);
    expect($count)->toBe(300)->and(memory_get_peak_usage() - $before)->toBeLessThan(16 * 1024 * 1024);
});
