import { Button, Checkbox, Group, Stack, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { ask } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';

/** Days on which lessons rest, practice rests, or both; of one student or of everybody. */
export function HolidayForm({ studentId, done }: { studentId: number; done: () => void }) {
    const [draft, setDraft] = useState({ label: '', from: '', to: '', lessons: false, practice: true });
    const [everybody, setEverybody] = useState(false);
    const set = (change: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...change }));
    const save = useMutation({
        mutationFn: () => ask('post', '/holidays', { body: { ...draft, studentId: everybody ? null : studentId } }),
        onSuccess: done,
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <TextInput
                label={t('What it is')}
                placeholder={t('Half term')}
                required
                maxLength={60}
                value={draft.label}
                onChange={(event) => set({ label: event.currentTarget.value })}
                data-autofocus
            />
            <Days from={draft.from} to={draft.to} set={set} />
            <Checkbox
                label={t('No lessons')}
                checked={!draft.lessons}
                onChange={(event) => set({ lessons: !event.currentTarget.checked })}
            />
            <Checkbox
                label={t('No practice')}
                checked={!draft.practice}
                onChange={(event) => set({ practice: !event.currentTarget.checked })}
            />
            <Checkbox
                label={t('For every student')}
                description={everybody ? t('Everybody’s week follows within a minute.') : undefined}
                checked={everybody}
                onChange={(event) => setEverybody(event.currentTarget.checked)}
            />
            <Trouble error={save.error} />
            <Group>
                <Button type="submit" loading={save.isPending}>
                    {t('Save')}
                </Button>
            </Group>
        </Stack>
    );
}

/** The first and the last day. */
function Days({ from, to, set }: { from: string; to: string; set: (days: { from?: string; to: string }) => void }) {
    return (
        <Group grow align="flex-start">
            <TextInput
                label={t('First day')}
                type="date"
                required
                value={from}
                onChange={(event) => set({ from: event.currentTarget.value, to: to || event.currentTarget.value })}
            />
            <TextInput
                label={t('Last day')}
                type="date"
                required
                value={to}
                onChange={(event) => set({ to: event.currentTarget.value })}
            />
        </Group>
    );
}
