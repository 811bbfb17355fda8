import { execFileSync } from 'node:child_process';
import type { Api, Report } from '../resources/js/api';

const SCRIPT = `
require 'vendor/autoload.php';
use Nasturtium\\Core\\{Formats\\MusicXml\\MusicXmlWriter, Formats\\Shorthand\\ShorthandReader, Reading\\KnownNotes, Report\\Breakdown, Report\\ReportDocument, Report\\Settings};
$read = ShorthandReader::read($argv[1]);
if ($read->errors !== []) { fwrite(STDERR, $read->errors[0]->text); exit(1); }
$settings = new Settings(known: $argv[2] === '' ? null : KnownNotes::of(explode(',', $argv[2])));
echo json_encode(['music' => MusicXmlWriter::write($read->piece), 'report' => ReportDocument::of(Breakdown::of($read->piece, $settings))]);
`;

/** The report of a typed tune, from the core itself: for a student who knows some notes, or for nobody. */
export function reportOf(shorthand: string, known = ''): Report {
    return dataOf(shorthand, known).report;
}

/** The same as the desk gets it. */
export function dataOf(shorthand: string, known = ''): Api['BreakdownResource'] {
    const made = JSON.parse(execFileSync('php', ['-r', SCRIPT, '--', shorthand, known], { encoding: 'utf8' }));
    return {
        piece: {
            id: 7,
            title: 'Blue Gate',
            book: 'A Book',
            page: 3,
            label: '',
            music: made.music,
            duet: null,
            octave: 0,
            revision: 1,
        },
        report: made.report,
        playback: { counts: [], enter: '1', sounds: [], clicks: [], bars: [] },
        ownFingers: [],
    } as unknown as Api['BreakdownResource'];
}
