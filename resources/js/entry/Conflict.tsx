import { Alert, Button, Group } from '@mantine/core';
import { t } from '../text';
import styles from './Conflict.module.css';
import type { Typed } from './draft';

interface Props {
    mine: Typed;
    /** Null when there is no conflict. */
    theirs: Typed | null;
    choose: (mine: boolean) => void;
}

/** The same piece was typed on in another window: both stand side by side, and one is chosen. */
export function Conflict({ mine, theirs, choose }: Props) {
    if (theirs === null) return null;
    return (
        <Alert
            color="flower"
            variant="light"
            role="alert"
            c="var(--ink)"
            title={t('Another window has changed this piece too')}
        >
            <div className={styles.two}>
                {[
                    { title: t('Here'), typed: mine, keep: true, verb: t('Keep what is here') },
                    { title: t('In the other window'), typed: theirs, keep: false, verb: t('Take the other one') },
                ].map(({ title, typed, keep, verb }) => (
                    <section key={title} aria-label={title}>
                        <b>{title}</b>
                        <Changed text={typed.text} against={(keep ? theirs : mine).text} />
                        <Group mt={6}>
                            <Button
                                size="compact-sm"
                                variant={keep ? 'filled' : 'default'}
                                onClick={() => choose(keep)}
                            >
                                {verb}
                            </Button>
                        </Group>
                    </section>
                ))}
            </div>
        </Alert>
    );
}

/** A text with the lines marked that the other one does not have. */
function Changed({ text, against }: { text: string; against: string }) {
    const known = new Set(against.split('\n'));
    return (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a long text is scrolled by keys
        <pre className={styles.text} tabIndex={0}>
            {text.split('\n').map((line, i) => {
                const differs = !known.has(line);
                return (
                    // biome-ignore lint/suspicious/noArrayIndexKey: lines have no other name
                    <div key={i} className={differs ? `thorn ${styles.differs}` : undefined}>
                        {line || ' '}
                    </div>
                );
            })}
        </pre>
    );
}
