import { Button, Checkbox, Group, NumberInput, SimpleGrid, Stack, Title } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { type Api, api, at, choices } from '../api';
import { Trouble } from '../shared/Notes';
import { NotesChoice } from '../shared/NotesChoice';
import { t } from '../text';

type Settings = Api['TrainingSettingsResource'];
type Kind = Api['DeckResource']['kind'];

interface Props {
    student: number;
    settings: Settings;
    saved: () => void;
}

const ALL: Kind[] = choices.DrillKind.map((one) => one.value);

/** Kinds, notes and minutes of the practice room, and when a note counts as secure. */
export function TrainingSettings({ student, settings, saved }: Props) {
    const [kinds, setKinds] = useState<string[]>(settings.kinds ?? ALL);
    const [notes, setNotes] = useState<string[]>(settings.notes ?? []);
    const [minutes, setMinutes] = useState<number | string>(settings.minutes ?? '');
    const [limits, setLimits] = useState(() => ({ ...settings, seconds: settings.within / 1_000 }));
    const save = api.useMutation('put', '/students/{student}/training', { onSuccess: saved });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate({
            ...at({ student }),
            body: {
                kinds: kinds.length === ALL.length ? null : (kinds as Kind[]),
                notes: notes.length === 0 ? null : notes,
                minutes: minutes === '' ? null : Number(minutes),
                answers: limits.answers,
                right: limits.right,
                within: Math.round(1_000 * limits.seconds),
            },
        });
    };
    return (
        <form className="sheet" aria-label={t('Settings of the practice room')} onSubmit={submit}>
            <Title order={2} fz="lg" mb="sm">
                {t('What is trained')}
            </Title>
            <Stack gap="md">
                <Checkbox.Group label={t('Kinds')} value={kinds} onChange={setKinds}>
                    <SimpleGrid cols={{ base: 2, sm: 4 }} mt={6} spacing="xs">
                        {choices.DrillKind.map((kind) => (
                            <Checkbox key={kind.value} value={kind.value} label={kind.label} />
                        ))}
                    </SimpleGrid>
                </Checkbox.Group>
                <NotesChoice notes={notes} choose={setNotes} none={t('Those of the pages')} />
                <Limits {...{ minutes, setMinutes, limits, setLimits }} />
                <Trouble error={save.error} />
                <Group>
                    <Button type="submit" loading={save.isPending}>
                        {t('Save')}
                    </Button>
                </Group>
            </Stack>
        </form>
    );
}

interface LimitsProps {
    minutes: number | string;
    setMinutes: (minutes: number | string) => void;
    limits: Settings & { seconds: number };
    setLimits: (limits: Settings & { seconds: number }) => void;
}

function Limits({ minutes, setMinutes, limits, setLimits }: LimitsProps) {
    return (
        <SimpleGrid cols={{ base: 1, sm: 4 }}>
            <NumberInput
                label={t('Minutes of a session')}
                placeholder={t('by age')}
                min={1}
                max={10}
                value={minutes}
                onChange={setMinutes}
            />
            <NumberInput
                label={t('Secure after answers')}
                min={3}
                max={40}
                value={limits.answers}
                onChange={(value) => setLimits({ ...limits, answers: Number(value) })}
            />
            <NumberInput
                label={t('Percent right')}
                min={50}
                max={100}
                value={limits.right}
                onChange={(value) => setLimits({ ...limits, right: Number(value) })}
            />
            <NumberInput
                label={t('Within seconds')}
                min={0.5}
                max={20}
                step={0.5}
                decimalScale={1}
                value={limits.seconds}
                onChange={(value) => setLimits({ ...limits, seconds: Number(value) })}
            />
        </SimpleGrid>
    );
}
