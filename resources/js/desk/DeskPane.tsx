import { Button, Text } from '@mantine/core';
import type { Api } from '../api';
import { KeyMap } from '../shared/piano/KeyMap';
import { useTeaches } from '../shared/Shell';
import { rangeWords } from '../shared/score/beats';
import { t } from '../text';
import { Ask } from './Ask';
import { BarWords } from './BarWords';
import { Compare } from './Compare';
import styles from './Desk.module.css';
import deskPaneStyles from './DeskPane.module.css';
import { FindingList } from './FindingList';
import { FingerChoice } from './FingerChoice';
import { startKeys, startWords } from './findings/fingers';
import { InWords } from './InWords';
import { NoteWords } from './NoteWords';
import { Octave } from './Octave';
import { PagePath } from './PagePath';
import { PositionButton } from './PositionDialog';
import type { DeskState } from './useDesk';
import { VerdictChoice } from './VerdictChoice';

interface Props {
    data: Api['BreakdownResource'];
    desk: DeskState;
    student: string | null;
}

const NONE: Record<string, string> = {
    trouble: t('Nothing on this page is hard for this student.'),
    stages: t('Nothing sounds on this page.'),
};

/** Beside the music: what is chosen, then what the lens has found, then the piano. */
export function DeskPane({ data, desk, student }: Props) {
    const { report } = data;
    const isTeacher = useTeaches();
    const { lens, bar, finding } = desk;
    const measure =
        bar === null ? (finding?.bars.length === 1 ? finding.bars[0] : undefined) : report.bars[bar]?.measure;
    const keys = desk.lenses.includes('notes') || desk.lenses.includes('fingers') ? (finding?.keys ?? []) : [];
    const piano = keys.length > 0 ? keys : desk.lenses.includes('fingers') ? startKeys(report) : [];
    return (
        <aside aria-label={t('Findings: {{lens}}', { lens })} className={`sheet ${styles.pane}`}>
            <Chosen data={data} desk={desk} />
            {isTeacher && lens === 'trouble' && measure !== undefined && (
                <VerdictChoice key={measure} data={data} measure={measure} />
            )}
            {lens === 'stages' && <PagePath pieceId={data.piece.id} path={report.path} student={student} />}
            <div className={styles.list}>
                <FindingList
                    findings={desk.findings}
                    chosen={desk.chosen}
                    pick={desk.pick}
                    none={NONE[lens] ?? t('Nothing to say here.')}
                />
                {lens === 'look over' && (
                    <Ask
                        key={data.piece.id}
                        piece={data.piece.id}
                        toBar={(number) =>
                            desk.onBar(
                                report.bars.findIndex((one) => one.measure === number),
                                false,
                            )
                        }
                    />
                )}
                {isTeacher && lens === 'look over' && <Octave piece={data.piece} />}
                {isTeacher && lens === 'fingers' && (
                    <PositionButton piece={data.piece} student={student} keyName={report.piece.key} />
                )}
                <InWords report={report} />
            </div>
            {piano.length > 0 && (
                <figure className={deskPaneStyles.piano}>
                    <KeyMap
                        signs={piano}
                        title={
                            keys.length > 0
                                ? (finding?.title ?? '')
                                : t('At the start: {{startWords}}', { startWords: startWords(report) })
                        }
                    />
                    <figcaption className={`faint ${deskPaneStyles.caption}`}>
                        {keys.length > 0
                            ? finding?.title
                            : t('At the start: {{startWords}}', { startWords: startWords(report) })}
                    </figcaption>
                </figure>
            )}
        </aside>
    );
}

/** What is chosen: a range, a note, a bar, two bars. */
function Chosen({ data, desk }: { data: Props['data']; desk: Props['desk'] }) {
    const { report } = data;
    const isTeacher = useTeaches();
    const { lens, note, bar, range, other, finding } = desk;
    const pair = finding?.pair?.map((one) => report.bars.findIndex((of) => of.measure === one));
    return (
        <>
            {range !== null && (
                <section aria-label={t('Your range')} className={styles.part}>
                    <b>{t('Your piece to practise')}</b>
                    <br />
                    {rangeWords(report, range)}. <span className="faint">{t('Play it below; Esc lets go.')}</span>
                </section>
            )}
            {note !== null && <NoteWords report={report} id={note} />}
            {isTeacher && note !== null && lens === 'fingers' && <FingerChoice key={note} data={data} id={note} />}
            {bar !== null && other === null && (
                <BarWords
                    report={report}
                    bar={report.bars[bar]?.measure ?? 0}
                    compare={() => desk.compare(null, 'wanted')}
                />
            )}
            {other === 'wanted' && (
                <Text className={styles.part} role="status">
                    {t('Now choose the bar to compare it with.')}
                </Text>
            )}
            {bar !== null && typeof other === 'number' && (
                <Compare data={data} bars={[bar, other]} done={() => desk.compare(null, null)} />
            )}
            {pair !== undefined && other === null && bar === null && (
                <Button
                    size="compact-sm"
                    variant="default"
                    m={6}
                    onClick={() => desk.compare(pair[0] ?? 0, pair[1] ?? 0)}
                >
                    {t('See bars {{pair}} side by side', { pair: finding?.pair?.join(t(' and ')) })}
                </Button>
            )}
        </>
    );
}
