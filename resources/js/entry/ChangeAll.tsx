import { Button, Group, Menu, Select, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, ask } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { t } from '../text';

export type Change = Omit<Api['ShorthandChangeRequest'], 'shorthand'>;

const KEYS = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'F', 'Bb', 'Eb', 'Ab', 'Db'];
const MINOR = ['A minor', 'E minor', 'B minor', 'F# minor', 'D minor', 'G minor', 'C minor', 'F minor'];

/** Changes the whole of what is typed; one undo brings it back. */
export function useChangeAll(text: () => string, replace: (text: string) => void) {
    return useMutation({
        mutationFn: (change: Change) => ask('post', '/shorthand/changed', { body: { shorthand: text(), ...change } }),
        onSuccess: (printed) => replace(printed.shorthand),
    });
}

interface Props {
    change: ReturnType<typeof useChangeAll>;
    transposing: boolean;
    setTransposing: (open: boolean) => void;
}

export function ChangeAll({ change, transposing, setTransposing }: Props) {
    const [key, setKey] = useState<string>('G');
    const go = (direction: Change['direction']) =>
        change.mutate({ change: 'transpose', key, direction }, { onSuccess: () => setTransposing(false) });
    const pick = (what: Change['change']) => () => change.mutate({ change: what });
    return (
        <>
            <Menu>
                <Menu.Target>
                    <Button variant="default" loading={change.isPending}>
                        {t('Change the whole piece')}
                    </Button>
                </Menu.Target>
                <Menu.Dropdown>
                    <Menu.Item onClick={pick('swap')} rightSection={<kbd>{t('Alt H')}</kbd>}>
                        {t('Swap the hands')}
                    </Menu.Item>
                    <Menu.Item onClick={() => setTransposing(true)} rightSection={<kbd>{t('Alt T')}</kbd>}>
                        {t('Transpose…')}
                    </Menu.Item>
                    <Menu.Item onClick={pick('octave up')}>{t('An octave up')}</Menu.Item>
                    <Menu.Item onClick={pick('octave down')}>{t('An octave down')}</Menu.Item>
                    <Menu.Item onClick={pick('tidy')}>{t('Tidy the text')}</Menu.Item>
                </Menu.Dropdown>
            </Menu>
            <Dialog opened={transposing} onClose={() => setTransposing(false)} title={t('Transpose')}>
                <Select
                    label={t('To the key of')}
                    data-autofocus
                    allowDeselect={false}
                    data={[...KEYS, ...MINOR]}
                    value={key}
                    onChange={(value) => setKey(value ?? key)}
                />
                <Text size="sm" className="faint" mt={6}>
                    {t('Fingers and moves stay; accidentals follow the new key.')}
                </Text>
                <Trouble error={transposing ? change.error : null} />
                <Group mt="md" gap="xs">
                    <Button onClick={() => go(0)}>{t('The nearest way')}</Button>
                    <Button variant="default" onClick={() => go(1)}>
                        {t('Up')}
                    </Button>
                    <Button variant="default" onClick={() => go(-1)}>
                        {t('Down')}
                    </Button>
                </Group>
            </Dialog>
        </>
    );
}
