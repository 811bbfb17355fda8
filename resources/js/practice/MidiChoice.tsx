import { Button, Group, Select, Text } from '@mantine/core';
import type { useMidi } from '../shared/midi/devices';
import { t } from '../text';

/** A piano with a cable can answer too. */
export function MidiChoice({ midi }: { midi: ReturnType<typeof useMidi> }) {
    return (
        <Group mt="lg" gap="sm" align="flex-end">
            <Button variant="default" onClick={midi.look}>
                {t('Connect a MIDI keyboard')}
            </Button>
            {(midi.sources.length > 1 || midi.chosen !== null) && (
                <Select
                    label={t('Answer with')}
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
