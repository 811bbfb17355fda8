import { Button, Group, Select, Text } from '@mantine/core';
import { t } from '../../text';
import type { useMidi } from './devices';

interface Props {
    midi: ReturnType<typeof useMidi>;
    /** What the choice is for. */
    label: string;
    /** The stand-in can be chosen before any keyboard was looked for. */
    always?: boolean;
}

/** A piano with a cable, or what stands in for one; none is the keys on the screen. */
export function MidiChoice({ midi, label, always = false }: Props) {
    return (
        <Group gap="sm" align="flex-end">
            <Button variant="default" onClick={midi.look}>
                {t('Connect a MIDI keyboard')}
            </Button>
            {(always || midi.sources.length > 1 || midi.chosen !== null) && (
                <Select
                    label={label}
                    clearable
                    placeholder={t('The keys on the screen')}
                    value={midi.chosen}
                    onChange={midi.choose}
                    data={midi.sources.map((source) => ({ value: source.id, label: source.name }))}
                />
            )}
            {midi.trouble !== null && (
                <Text size="sm" role="status">
                    {midi.trouble}
                </Text>
            )}
        </Group>
    );
}
