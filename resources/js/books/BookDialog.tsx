import { Button, Group, NumberInput, Select, Stack, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { ask } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import type { Asked } from './asked';

/** Asks for a book or a page, or whether to remove one. */
export function BookDialog({ dialog, close }: { dialog: Asked; close: () => void }) {
    const client = useQueryClient();
    const [draft, setDraft] = useState(dialog.start);
    const save = useMutation({
        mutationFn: () => ask(dialog.method, dialog.path, dialog.what === 'remove' ? undefined : draft),
        onSuccess: () => {
            client.invalidateQueries({ queryKey: ['books'] });
            close();
        },
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate();
    };
    const text = (name: string, label: string, required: boolean) => (
        <TextInput
            label={label}
            required={required}
            value={String(draft[name] ?? '')}
            onChange={(event) => setDraft({ ...draft, [name]: event.currentTarget.value })}
        />
    );
    return (
        <Dialog opened onClose={close} title={dialog.title}>
            <Stack component="form" onSubmit={submit}>
                {dialog.what === 'book' && (
                    <>
                        {text('title', 'Title', true)}
                        {text('level', 'Level', false)}
                    </>
                )}
                {dialog.what === 'page' && (
                    <>
                        <NumberInput
                            label="Page number"
                            required
                            min={1}
                            max={999}
                            value={draft.number ?? 1}
                            onChange={(number) => setDraft({ ...draft, number: Number(number) })}
                        />
                        <Select
                            label="Kind"
                            allowDeselect={false}
                            value={String(draft.kind)}
                            onChange={(kind) => setDraft({ ...draft, kind: kind ?? 'pieces' })}
                            data={[
                                { value: 'pieces', label: 'Pieces to play' },
                                { value: 'theory', label: 'Theory' },
                                { value: 'listening', label: 'Listening' },
                                { value: 'duet', label: 'Duet' },
                            ]}
                        />
                        {text('title', 'Title', false)}
                        {text('introduces', 'What is new on it', false)}
                    </>
                )}
                <Trouble error={save.error} />
                <Group>
                    <Button type="submit" loading={save.isPending} color={dialog.what === 'remove' ? 'red' : undefined}>
                        {dialog.what === 'remove' ? 'Remove' : 'Save'}
                    </Button>
                    <Button variant="default" onClick={close}>
                        Cancel
                    </Button>
                </Group>
            </Stack>
        </Dialog>
    );
}
