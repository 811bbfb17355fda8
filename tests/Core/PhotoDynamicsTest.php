<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;
use Tests\Photo\DrawnStrip;

/*
 * How loud, as it is printed below a staff.
 */

/** @return list<string> of the notes from left to right */
function loudness(DrawnStrip $drawn, int $bottom = Strip::HEIGHT): array
{
    return array_map(static fn (Item $item): string => $item->dynamic, $drawn->items(next: $bottom));
}

function two_notes(): DrawnStrip
{
    return (new DrawnStrip())->head(80, 4)->stem(80, 4, false)->head(220, 4)->stem(220, 4, false);
}

const BELOW_STAFF = Strip::BOTTOM + 58;

test('a dynamic is of the note above it', function (string $written): void {
    expect(loudness(two_notes()->dynamic($written, 220, BELOW_STAFF)))->toBe(['', $written]);
})->with(['p', 'mp', 'mf', 'f', 'ff', 'pp']);

test('letters that touch are known as one', function (): void {
    expect(loudness(two_notes()->dynamic('ff', 220, BELOW_STAFF, true)))->toBe(['', 'ff']);
});

test('it is of the nearest, within three spaces', function (int $x, array $given): void {
    expect(loudness(two_notes()->dynamic('f', $x, BELOW_STAFF)))->toBe($given);
})->with([[110, ['f', '']], [190, ['', 'f']], [80 - 46, ['f', '']], [220 + 58, ['', '']]]);

test('a letter of a word is none, nor is what stands within the staff or is of the one below', function (): void {
    expect(loudness(two_notes()->dynamic('f', 220, BELOW_STAFF)->box(242, BELOW_STAFF - 6, 4, 14)->box(242, BELOW_STAFF - 6, 12, 4)))->toBe(['', ''])
        ->and(array_filter(loudness(two_notes()->dynamic('mf', 150, Strip::TOP + 32))))->toBe([])
        ->and(loudness(two_notes()->dynamic('f', 220, BELOW_STAFF), BELOW_STAFF))->toBe(['', '']);
});

test('two letters too far from one another are two, and what is written by nobody is none', function (): void {
    expect(loudness(two_notes()->dynamic('f', 80, BELOW_STAFF)->dynamic('p', 220, BELOW_STAFF)))->toBe(['f', 'p'])
        ->and(loudness(two_notes()->dynamic('f', 212, BELOW_STAFF)->dynamic('p', 238, BELOW_STAFF)))->toBe(['', '']);
});

test('it is kept, and stands in the piece as if it had been typed', function (): void {
    $bar = (new ReadBar([[], []], false, false, []))
        ->withStaff(0, [new ReadSign(20, 0, 96, 0, [new ReadHead(3)], dynamic: 'mf'), new ReadSign(60, 0, 96, 0, [new ReadHead(2)], dynamic: 'p')])
        ->withStaff(1, [new ReadSign(20, 0, 192, 0, [new ReadHead(6)])]);
    $page = new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(4, 4), [$bar])]);
    $kept = PageCodec::read(PageCodec::written($page));
    expect($kept)->toEqual($page)
        ->and(ShorthandWriter::write(PhotoPiece::of($kept->pieces[0]))->text)->toContain('"mf" h', '"p"')
        // What was kept before dynamics were read has none.
        ->and(PageCodec::read(str_replace(',"mf","",null,""]', ']', PageCodec::written($page)))->pieces[0]->bars[0]->staves[0][0]->dynamic)->toBe('');
});
