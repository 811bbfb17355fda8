import { Button, Group, Text } from '@mantine/core';
import type { LessonCard } from '../api';
import { t } from '../text';
import styles from './StepRow.module.css';

interface Props {
    card: LessonCard;
    heardId: number | null;
    toStep: (index: number) => void;
    together: () => void;
}

/** The stages of a page in a row, each a step: what has passed is filled, the one that is heard has a ring and its name. */
export function StepRow({ card, heardId, toStep, together }: Props) {
    const heard = card.steps.findIndex((step) => step.stageId === heardId);
    const to = card.mark === 'pass' ? heard : -1;
    return (
        <>
            <ol className={`plain-list ${styles.row}`} aria-label={t('Stages of {{title}}', { title: card.title })}>
                {card.steps.map((step, i) => {
                    const passed = i <= to || step.passed;
                    return (
                        <li key={step.stageId}>
                            <button
                                type="button"
                                className={styles.step}
                                data-passed={passed ? 'yes' : undefined}
                                data-petal={step.petal ?? undefined}
                                aria-current={i === heard ? 'step' : undefined}
                                aria-label={`${i + 1}: ${step.name}${passed ? t(', passed') : ''}${step.practised > 0 ? t(', practised') : ''}`}
                                title={step.name}
                                onClick={() => toStep(i)}
                            >
                                {i + 1}
                            </button>
                        </li>
                    );
                })}
            </ol>
            <Group gap="xs" justify="space-between" wrap="nowrap">
                <Text size="sm">
                    {card.mark === 'pass' ? t('Passed to: ') : t('Heard: ')}
                    <b>{card.steps[heard]?.name ?? t('nothing yet')}</b>
                </Text>
                {card.isNew && card.togetherId !== null && (
                    <Button size="compact-sm" variant="default" onClick={together}>
                        {t('Done together (d)')}
                    </Button>
                )}
            </Group>
        </>
    );
}
