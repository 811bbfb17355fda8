import { Button, Group, Text } from '@mantine/core';
import type { Api } from '../api';
import { Score } from '../shared/score/Score';
import compareStyles from './Compare.module.css';
import styles from './Desk.module.css';
import { capital } from './findings/finding';
import { alike } from './findings/patterns';

interface Props {
    data: Api['BreakdownResource'];
    /** Indices of the two bars. */
    bars: [number, number];
    done: () => void;
}

/** Two bars side by side, and how they are alike. */
export function Compare({ data, bars, done }: Props) {
    const { report, piece } = data;
    const [a, b] = bars.map((index) => report.bars[index]?.measure ?? 0) as [number, number];
    const words = (['right', 'left'] as const).map((hand) => {
        const how = alike(report, hand, a, b);
        const rests = [a, b].every((bar) =>
            report.events.every(
                (event) =>
                    (event.hand === 'R') !== (hand === 'right') ||
                    Number.parseInt(event.place, 10) !== bar ||
                    event.kind === 'rest',
            ),
        );
        return `${capital(hand)} hand: ${rests ? 'rests in both' : (how ?? 'not alike')}.`;
    });
    return (
        <section aria-label={`Bars ${a} and ${b} side by side`} className={styles.part}>
            <Group justify="space-between" wrap="nowrap">
                <b>
                    Bars {a} and {b}
                </b>
                <Button size="compact-xs" variant="subtle" onClick={done}>
                    Done
                </Button>
            </Group>
            <div className={compareStyles.two}>
                {bars.map((index) => (
                    <Score
                        key={index}
                        music={piece.music}
                        title={`Bar ${report.bars[index]?.measure}`}
                        scale={30}
                        lines="free"
                        range={[index, index]}
                    />
                ))}
            </div>
            <Text size="sm">{words.join(' ')}</Text>
        </section>
    );
}
