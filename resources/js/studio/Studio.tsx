import { Anchor, Button, Group, NumberInput, Select, SimpleGrid, Stack, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { type Api, ask, at, choices, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { TimeZoneSelect } from '../shared/TimeZoneSelect';
import { t } from '../text';
import { showFirstSteps } from '../week/FirstSteps';
import { Members } from './Members';
import { OutAndIn } from './OutAndIn';
import { Outbox } from './Outbox';
import { StudioWords, wordsBy } from './StudioWords';

export function Studio() {
    const session = useSession();
    if (session.data === undefined) return null;
    return (
        <Stack maw={860} gap="md">
            <StudioForm studio={session.data.studio} />
            <Members />
            <OutAndIn studioId={session.data.studio.id} leads={session.data.role === 'owner'} />
            <Outbox />
        </Stack>
    );
}

const whole = (min: number, max: number) => ({
    min,
    max,
    required: true,
    allowDecimal: false,
});

function StudioForm({ studio }: { studio: Api['StudioResource'] }) {
    const client = useQueryClient();
    const [draft, setDraft] = useState(studio);
    const save = useMutation({
        mutationFn: () =>
            ask('patch', '/studios/{studio}', {
                ...at({ studio: studio.id }),
                body: { ...draft, phrases: wordsBy(draft.phrases), countWords: wordsBy(draft.countWords) },
            }),
        onSuccess: () =>
            Promise.all([
                client.invalidateQueries({ queryKey: keyOf('/session') }),
                client.invalidateQueries({ queryKey: keyOf('/pieces/{piece}/breakdown') }),
            ]),
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} maw={860} gap="md">
            <Group justify="space-between">
                <Title order={1} fz={28}>
                    {t('Studio')}
                </Title>
                <Group gap="md">
                    <Anchor component={Link} to="/" onClick={showFirstSteps} c="var(--ink)">
                        {t('First steps')}
                    </Anchor>
                    <Anchor component={Link} to="/paths" c="var(--ink)">
                        {t('Paths on which pages are learnt')}
                    </Anchor>
                </Group>
            </Group>
            <Settings draft={draft} set={(change) => setDraft({ ...draft, ...change })} />
            <StudioWords
                title={t('Sentences for lines and spaces')}
                about={t(
                    'For students who read by a sentence. Each word begins with the letter of its place, from the bottom up.',
                )}
                words={draft.phrases}
                change={(phrases) => setDraft({ ...draft, phrases })}
            />
            <StudioWords
                title={t('Words for lengths')}
                about={t(
                    'For students who count with the words of the studio. Several words are said in turn. An empty one is said by its time name.',
                )}
                words={draft.countWords}
                change={(countWords) => setDraft({ ...draft, countWords })}
            />
            <Trouble error={save.error} />
            <Group>
                <Button type="submit" loading={save.isPending}>
                    {t('Save')}
                </Button>
                <span role="status">{save.isSuccess && t('Saved.')}</span>
            </Group>
        </Stack>
    );
}

interface SettingsProps {
    draft: Api['StudioResource'];
    set: (change: Partial<Api['StudioResource']>) => void;
}

function Settings({ draft, set }: SettingsProps) {
    return (
        <>
            <SimpleGrid cols={2}>
                <TextInput
                    label={t('Name')}
                    required
                    value={draft.name}
                    onChange={(event) => set({ name: event.currentTarget.value })}
                />
                <Select
                    label={t('Words')}
                    allowDeselect={false}
                    value={draft.words}
                    onChange={(words) => words !== null && set({ words })}
                    data={choices.NoteWords}
                />
                <Select
                    label={t('Paper')}
                    allowDeselect={false}
                    value={draft.paper}
                    onChange={(paper) => paper !== null && set({ paper })}
                    data={choices.Paper}
                />
                <TimeZoneSelect
                    allowDeselect={false}
                    value={draft.timezone}
                    onChange={(zone) => set({ timezone: zone ?? draft.timezone })}
                />
            </SimpleGrid>
            <SimpleGrid cols={3}>
                <NumberInput
                    label={t('A parent agrees under the age of')}
                    description={t('Before a home link is made. 0: never asked.')}
                    {...whole(0, 21)}
                    value={draft.consentAge}
                    onChange={(age) => set({ consentAge: Number(age) })}
                />
                <NumberInput
                    label={t('Days that drafts are kept')}
                    description={t('Pages typed but not saved.')}
                    {...whole(7, 3650)}
                    value={draft.keepDrafts}
                    onChange={(days) => set({ keepDrafts: Number(days) })}
                />
                <NumberInput
                    label={t('Days that sent mails are kept')}
                    description={t('After that they are deleted.')}
                    {...whole(7, 3650)}
                    value={draft.keepMails}
                    onChange={(days) => set({ keepMails: Number(days) })}
                />
            </SimpleGrid>
        </>
    );
}
