import { Button, Group, Text } from '@mantine/core';
import { t } from '../text';
import styles from './Look.module.css';
import type { Change } from './useChanges';

const GROUPS: [Change['group'], string][] = [
    ['length', t('Length')],
    ['pitch', t('Pitch')],
    ['finger', t('Finger')],
    ['sign', t('Note')],
];

const PRESSED: Record<string, string> = { ArrowUp: '↑', ArrowDown: '↓', Delete: t('Del') };

/** What each key changes, as buttons for a mouse or a finger. */
export function Pad({ changes }: { changes: Change[] }) {
    return (
        <div className={styles.pad}>
            {GROUPS.map(([group, name]) => (
                <Group key={group} gap={6} role="group" aria-label={name}>
                    <Text size="xs" className="faint" miw={42}>
                        {name}
                    </Text>
                    {changes
                        .filter((change) => change.group === group)
                        .map((change) => (
                            <Button
                                key={change.key}
                                size="compact-sm"
                                variant="default"
                                // A mouse leaves the focus where it is, so that Enter still goes on.
                                onMouseDown={(event) => event.preventDefault()}
                                onClick={change.run}
                                aria-label={change.does}
                            >
                                {change.label !== change.key && change.label}{' '}
                                <kbd className={styles.key}>{PRESSED[change.key] ?? change.key}</kbd>
                            </Button>
                        ))}
                </Group>
            ))}
        </div>
    );
}
