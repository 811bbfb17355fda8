import { Button, Group, Select, Text } from '@mantine/core';
import { t } from '../text';
import { LENSES, lensWords } from './findings/findings';
import { SAYINGS, type Saying } from './marks';
import type { DeskState } from './useDesk';

/** The lenses: one at a time, or a second one laid over with Shift. */
export function LensBar({ desk }: { desk: DeskState }) {
    const named = desk.lenses.includes('notes');
    return (
        <Group gap={6} mb="xs" role="toolbar" aria-label={t('Lenses')}>
            {LENSES.map((one) => {
                const over = desk.also === one.name;
                return (
                    <Button
                        key={one.name}
                        size="compact-md"
                        variant={desk.lens === one.name ? 'filled' : over ? 'light' : 'default'}
                        aria-pressed={desk.lens === one.name || over}
                        title={t('With Shift it is laid over the {{lens}} lens', { lens: lensWords([desk.lens]) })}
                        onClick={(event) => (event.shiftKey ? desk.lookWith(one.name) : desk.look(one.name))}
                    >
                        {over && '+ '}
                        {one.label} ({one.key})
                    </Button>
                );
            })}
            {named ? (
                <Select
                    size="xs"
                    w={140}
                    aria-label={t('What is said of a note')}
                    allowDeselect={false}
                    value={desk.saying}
                    onChange={(saying) => desk.setSaying((saying ?? 'letters') as Saying)}
                    data={SAYINGS.map((one) => ({ ...one }))}
                />
            ) : (
                <Text size="xs" className="faint">
                    {t('with Shift: two together')}
                </Text>
            )}
        </Group>
    );
}
