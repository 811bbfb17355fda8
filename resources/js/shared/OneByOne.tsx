import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../api';
import { t } from '../text';
import { useKeys } from './keys';
import styles from './Questions.module.css';
import { ReadAloud } from './ReadAloud';

interface Props {
    questions: readonly Api['QuestionResource'][];
    /** Told the bars of an answer that is looked at. */
    onAnswer?: (bars: number[]) => void;
}

/** Recall questions one after another, large: read aloud where there is a voice, answered, and then looked up. */
export function OneByOne({ questions, onAnswer }: Props) {
    const [at, setAt] = useState(0);
    const [isOpen, setOpen] = useState(false);
    const question = questions[at];
    const isLast = at === questions.length - 1;
    const go = () => {
        if (question === undefined) return;
        if (!isOpen) {
            setOpen(true);
            onAnswer?.(question.bars);
        } else {
            setOpen(false);
            setAt(isLast ? 0 : at + 1);
        }
    };
    const next = isLast ? t('From the first again') : t('Next question');
    useKeys([{ key: 'Enter', does: isOpen ? t('go on to the next question') : t('show the answer'), run: go }]);
    if (question === undefined) return null;
    return (
        <div className={styles.card}>
            <Text size="sm" className="faint">
                {t('{{at}} of {{all}}', { at: at + 1, all: questions.length })}
            </Text>
            <Text fz="xl">{question.ask}</Text>
            <div aria-live="polite">
                {isOpen && (
                    <Text fz="lg" fw={700}>
                        {question.answer}
                    </Text>
                )}
            </div>
            <Group gap="xs">
                <Button onClick={go}>{isOpen ? next : t('Answer')}</Button>
                <ReadAloud key={`${at} ${isOpen}`} words={isOpen ? question.answer : question.ask} />
            </Group>
        </div>
    );
}
