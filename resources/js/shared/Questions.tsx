import { Button, Text } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../api';
import { t } from '../text';
import styles from './Questions.module.css';

interface Props {
    questions: Api['QuestionResource'][];
    /** Told the bars of an answer that is looked at. */
    onAnswer?: (bars: number[]) => void;
}

/** Recall questions: asked aloud or read, answered, and then looked up. */
export function Questions({ questions, onAnswer }: Props) {
    const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
    return (
        <ol className={styles.list}>
            {questions.map(({ ask, answer, bars }) => (
                <li key={ask}>
                    <Text>{ask}</Text>
                    {open.has(ask) ? (
                        <Text fw={700}>{answer}</Text>
                    ) : (
                        <Button
                            size="compact-sm"
                            variant="default"
                            aria-label={t('Answer: {{ask}}', { ask })}
                            onClick={() => {
                                setOpen(new Set([...open, ask]));
                                onAnswer?.(bars);
                            }}
                        >
                            {t('Answer')}
                        </Button>
                    )}
                </li>
            ))}
        </ol>
    );
}
