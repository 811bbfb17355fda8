import { Button, Group, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { type Api, choices, type LessonCard, type LessonTask } from '../api';
import { QUIET } from '../shared/quiet';
import { tempoWords } from '../shared/words';
import { t } from '../text';
import styles from './LessonCardRow.module.css';
import { StepRow } from './StepRow';
import type { Mark, Reached, Slip } from './useLesson';

const MARKS = [
    { mark: 'pass', label: t('pass'), key: 'p', sign: '✓' },
    { mark: 'again', label: t('again'), key: 'a', sign: '↻' },
    { mark: 'stop', label: t('stop'), key: 'x', sign: '■' },
] as const;

interface Props {
    card: LessonCard;
    task: LessonTask | null;
    heardId: number | null;
    slips: Slip[];
    kinds: Api['SlipKindResource'][];
    chosen: boolean;
    /** A slip key belongs to this card. */
    target: boolean;
    choose: () => void;
    give: (mark: Mark, stageId?: number) => void;
    toStep: (index: number) => void;
    /** A rung up or down from the tempo that was reached; null while another card is shown. */
    climb: ((by: number) => void) | null;
    reached: (task: LessonTask, change: Partial<Reached>) => void;
    dropSlip: (slip: Slip) => void;
}

/** A page, or a task that is on none: what home reported, its stages in a row, the mark, the slips with their remedies. */
export function LessonCardRow({
    card,
    task,
    heardId,
    slips,
    kinds,
    chosen,
    target,
    choose,
    give,
    toStep,
    climb,
    reached,
    dropSlip,
}: Props) {
    return (
        <li
            className={`sheet ${styles.card}`}
            data-chosen={chosen ? 'yes' : undefined}
            aria-current={chosen ? 'step' : undefined}
        >
            <Group justify="space-between" wrap="nowrap" gap="xs" align="flex-start">
                <button type="button" className={styles.name} aria-pressed={chosen} onClick={choose}>
                    <b>{card.title}</b>
                </button>
                <MarkButtons card={card} give={give} choose={choose} />
            </Group>
            <HomeWords card={card} />
            {card.steps.length > 0 && (
                <StepRow
                    card={card}
                    heardId={heardId}
                    toStep={toStep}
                    together={() => card.togetherId !== null && give('pass', card.togetherId)}
                />
            )}
            {climb !== null && task !== null && <More task={task} climb={climb} reached={reached} key={task.id} />}
            {slips.map((slip) => (
                <SlipNoted
                    key={slip.clientKey ?? slip.id}
                    slip={slip}
                    title={kinds.find((kind) => kind.kind === slip.kind)?.title ?? ''}
                    drop={() => dropSlip(slip)}
                />
            ))}
            {target && (
                <Text size="xs" className="faint">
                    {t('A slip goes here')}
                </Text>
            )}
        </li>
    );
}

function whatFor(card: LessonCard): string {
    if (card.isNew) return t('{{page}}, new today', { page: card.page });
    return card.kind === 'review' ? t('{{page}}, review', { page: card.page }) : card.page;
}

/** Pass, again, stop; the same once more takes it back. */
function MarkButtons({ card, give, choose }: Pick<Props, 'card' | 'give' | 'choose'>) {
    return (
        <Group gap={4} wrap="nowrap">
            {MARKS.map((one) => (
                <Button
                    key={one.mark}
                    size="compact-sm"
                    variant={card.mark === one.mark ? 'filled' : 'default'}
                    aria-pressed={card.mark === one.mark}
                    aria-label={`${card.title}: ${one.label}`}
                    title={`${one.label} (${one.key})`}
                    onClick={() => {
                        choose();
                        give(card.mark === one.mark ? null : one.mark);
                    }}
                >
                    <span aria-hidden="true">{one.sign}&nbsp;</span>
                    {one.label}
                </Button>
            ))}
        </Group>
    );
}

/** What was done at home, and what was written. */
function HomeWords({ card }: { card: LessonCard }) {
    const practices = card.tasks.flatMap((task) => task.practices);
    const set = Math.max(0, ...card.tasks.map((task) => task.days));
    const days = new Set(practices.map((practice) => practice.date)).size;
    const last = [...practices].sort((a, b) => a.date.localeCompare(b.date)).at(-1);
    const feeling = choices.Feeling.find((one) => one.value === last?.feeling)?.label.toLowerCase();
    return (
        <>
            <Text size="sm" className="faint">
                {whatFor(card)}
                {!card.isNew && (
                    <>
                        {card.page !== '' && ' · '}
                        {days === 0
                            ? set === 0
                                ? t('not scheduled')
                                : t('not practised')
                            : days === 1
                              ? t('practised on 1 day, “{{feeling}}” at the end', { feeling })
                              : t('practised on {{days}} days, “{{feeling}}” at the end', { feeling, days })}
                    </>
                )}
            </Text>
            {practices
                .filter((practice) => practice.note !== '')
                .map((practice) => (
                    <Text key={practice.id} size="sm">
                        {t('From home: “{{note}}”', { note: practice.note })}
                    </Text>
                ))}
        </>
    );
}

/** A slip, its remedy by the name that the child reads, and the way back. */
function SlipNoted({ slip, title, drop }: { slip: Slip; title: string; drop: () => void }) {
    return (
        <Group gap="xs">
            <Text size="sm" className="thorn">
                ▲ {slip.place}: {slip.words}
            </Text>
            <Text size="sm">→ {title}</Text>
            <Button
                {...QUIET}
                onClick={drop}
                aria-label={t('Take back: {{said}}, {{place}}', { said: slip.words, place: slip.place })}
            >
                {t('undo')}
            </Button>
        </Group>
    );
}

/** The tempo that was reached, and a word of the teacher's. */
function More({ task, climb, reached }: { task: LessonTask; climb: (by: number) => void; reached: Props['reached'] }) {
    const [words, setWords] = useState(task.heardNote);
    const step = { size: 'compact-xs', variant: 'default' } as const;
    return (
        <Group gap="xs" mt={4} wrap="nowrap">
            {task.tempo !== null && (
                <Group gap={2} wrap="nowrap">
                    <Button
                        {...step}
                        aria-label={t('A slower tempo: {{title}}', { title: task.title })}
                        onClick={() => climb(-1)}
                    >
                        −
                    </Button>
                    <Text size="sm" className={styles.tempo}>
                        {task.tempoReached === null
                            ? tempoWords(task.tempo ?? 0)
                            : t('reached {{tempoWords}}', { tempoWords: tempoWords(task.tempoReached) })}
                    </Text>
                    <Button
                        {...step}
                        aria-label={t('A faster tempo: {{title}}', { title: task.title })}
                        onClick={() => climb(1)}
                    >
                        +
                    </Button>
                </Group>
            )}
            <TextInput
                size="xs"
                className={styles.note}
                aria-label={t('A note on {{title}}', { title: task.title })}
                placeholder={t('a note')}
                maxLength={240}
                value={words}
                onChange={(event) => setWords(event.currentTarget.value)}
                onBlur={() => words !== task.heardNote && reached(task, { note: words })}
            />
        </Group>
    );
}
