import type { Report } from '../../api';
import { counts } from './counts';
import type { Finding } from './finding';
import { fingers } from './fingers';
import { hands } from './hands';
import { lookOver } from './lookOver';
import { notes } from './notes';
import { patterns } from './patterns';
import { stages } from './stages';
import { trouble } from './trouble';

export type { Finding } from './finding';

export const LENSES = [
    { name: 'look over', key: 'l' },
    { name: 'notes', key: 'n' },
    { name: 'fingers', key: 'f' },
    { name: 'counts', key: 'c' },
    { name: 'hands', key: 'h' },
    { name: 'patterns', key: 'p' },
    { name: 'trouble', key: 't' },
    { name: 'stages', key: 's' },
] as const;

export type Lens = (typeof LENSES)[number]['name'];

const BY_LENS: Record<Lens, (report: Report) => Finding[]> = {
    'look over': lookOver,
    notes,
    fingers,
    counts,
    hands,
    patterns,
    trouble,
    stages,
};

export function findingsOf(report: Report, lens: Lens): Finding[] {
    return BY_LENS[lens](report);
}

/** Findings that speak of a note or, where none does, of its bar; the narrowest first. */
export function findingsAt(findings: readonly Finding[], event: string | null, bar: number): number[] {
    const of = (speaks: (finding: Finding) => boolean, size: (finding: Finding) => number) =>
        findings
            .map((finding, i) => ({ finding, i }))
            .filter(({ finding }) => speaks(finding))
            .sort((a, b) => size(a.finding) - size(b.finding))
            .map(({ i }) => i);
    const ofNote =
        event === null
            ? []
            : of(
                  (one) => one.events.includes(event),
                  (one) => one.events.length,
              );
    return ofNote.length > 0
        ? ofNote
        : of(
              (one) => one.bars.includes(bar),
              (one) => one.bars.length,
          );
}
