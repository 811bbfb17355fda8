import type { Report } from '../../api';
import { listed } from '../../shared/words';
import { t } from '../../text';
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

/** What a page can be looked at through: its name, its key, and what it finds. */
export const LENSES = [
    { name: 'look over', label: t('look over'), key: 'l', finds: lookOver },
    { name: 'notes', label: t('notes'), key: 'o', finds: notes },
    { name: 'fingers', label: t('fingers'), key: 'f', finds: fingers },
    { name: 'counts', label: t('counts'), key: 'c', finds: counts },
    { name: 'hands', label: t('hands'), key: 'h', finds: hands },
    { name: 'patterns', label: t('patterns'), key: 'p', finds: patterns },
    { name: 'trouble', label: t('trouble'), key: 't', finds: trouble },
    { name: 'stages', label: t('stages'), key: 's', finds: stages },
] as const satisfies readonly { name: string; label: string; key: string; finds: (report: Report) => Finding[] }[];

export type Lens = (typeof LENSES)[number]['name'];

export function findingsOf(report: Report, lens: Lens): Finding[] {
    return LENSES.find(({ name }) => name === lens)?.finds(report) ?? [];
}

/** What lenses are called: `look over and counts`. */
export function lensWords(lenses: readonly Lens[]): string {
    return listed(lenses.map((lens) => LENSES.find(({ name }) => name === lens)?.label ?? lens));
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
