import { Button, Group, Select, Stack, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, ask } from '../shared/api';
import { Trouble } from '../shared/Notes';
import { useSession } from '../shared/Shell';

export function Studio() {
    const session = useSession();
    return session.data === undefined ? null : <StudioForm studio={session.data.studio} />;
}

function StudioForm({ studio }: { studio: Api['StudioResource'] }) {
    const client = useQueryClient();
    const [draft, setDraft] = useState(studio);
    const save = useMutation({
        mutationFn: () => ask<Api['StudioResource']>('PATCH', `/studios/${studio.id}`, draft),
        onSuccess: () => client.invalidateQueries({ queryKey: ['session'] }),
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} maw={520} gap="md">
            <Title order={1} fz={28}>
                Studio
            </Title>
            <TextInput
                label="Name"
                required
                value={draft.name}
                onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
            />
            <Select
                label="Words for notes"
                allowDeselect={false}
                value={draft.words}
                onChange={(words) => setDraft({ ...draft, words: words === 'uk' ? 'uk' : 'us' })}
                data={[
                    { value: 'us', label: 'quarter note, measure' },
                    { value: 'uk', label: 'crotchet, bar' },
                ]}
            />
            <Select
                label="Paper"
                allowDeselect={false}
                value={draft.paper}
                onChange={(paper) => setDraft({ ...draft, paper: paper === 'letter' ? 'letter' : 'a4' })}
                data={[
                    { value: 'a4', label: 'A4' },
                    { value: 'letter', label: 'Letter' },
                ]}
            />
            <Select
                label="Time zone"
                searchable
                allowDeselect={false}
                value={draft.timezone}
                onChange={(zone) => setDraft({ ...draft, timezone: zone ?? draft.timezone })}
                data={['UTC', ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== 'UTC')]}
            />
            <Trouble error={save.error} />
            <Group>
                <Button type="submit" loading={save.isPending}>
                    Save
                </Button>
                <span role="status">{save.isSuccess && 'Saved.'}</span>
            </Group>
        </Stack>
    );
}
