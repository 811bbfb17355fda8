import { Button, Group, Text } from '@mantine/core';
import type { Api } from '../api';
import { Score } from '../shared/score/Score';
import { t } from '../text';
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
        return t('{{capital}} hand: {{how}}.', {
            capital: capital(hand === 'right' ? t('right') : t('left')),
            how: rests ? t('rests in both') : (how ?? t('not alike')),
        });
    });
    return (
        <section aria-label={t('Bars {{a}} and {{b}} side by side', { a, b })} className={styles.part}>
            <Group justify="space-between" wrap="nowrap">
                <b>{t('Bars {{a}} and {{b}}', { a, b })}</b>
                <Button size="compact-xs" variant="subtle" onClick={done}>
                    {t('Done')}
                </Button>
            </Group>
            <div className={compareStyles.two}>
                {bars.map((index) => (
                    <Score
                        key={index}
                        music={piece.music}
                        title={t('Bar {{measure}}', { measure: report.bars[index]?.measure })}
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
