import { Button, Group, NumberInput, Select, Stack, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, type ReactNode, useState } from 'react';
import { type Api, choices, keyOf } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import type { Asked, Of } from './asked';

interface Props {
    dialog: Asked;
    close: () => void;
}

/** Asks for a book or a page, or whether to remove one. */
export function BookDialog({ dialog, close }: Props) {
    switch (dialog.what) {
        case 'book':
            return (
                <Form dialog={dialog} close={close}>
                    {(book, set) => (
                        <>
                            <Line label={t('Title')} required value={book.title} set={(title) => set({ title })} />
                            <Line label={t('Level')} value={book.level} set={(level) => set({ level })} />
                        </>
                    )}
                </Form>
            );
        case 'page':
            return (
                <Form dialog={dialog} close={close}>
                    {(page, set) => <PageFields page={page} set={set} />}
                </Form>
            );
        default:
            return (
                <Form dialog={dialog} close={close}>
                    {() => null}
                </Form>
            );
    }
}

interface FieldsOf<Draft> {
    dialog: Of<string, Draft>;
    close: () => void;
    children: (draft: Draft, set: (change: Partial<Draft>) => void) => ReactNode;
}

function Form<Draft>({ dialog, close, children }: FieldsOf<Draft>) {
    const client = useQueryClient();
    const [draft, setDraft] = useState(dialog.start);
    const save = useMutation({
        mutationFn: () => dialog.send(draft),
        onSuccess: () => {
            client.invalidateQueries({ queryKey: keyOf('/books') });
            close();
        },
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        // Pressed twice, it is sent once.
        if (!save.isPending) save.mutate();
    };
    const removes = dialog.what === 'remove';
    return (
        <Dialog opened onClose={close} title={dialog.title}>
            <Stack component="form" onSubmit={submit}>
                {children(draft, (change) => setDraft({ ...draft, ...change }))}
                <Trouble error={save.error} />
                <Group>
                    <Button type="submit" loading={save.isPending} color={removes ? 'red' : undefined}>
                        {removes ? t('Remove') : t('Save')}
                    </Button>
                    <Button variant="default" onClick={close}>
                        {t('Cancel')}
                    </Button>
                </Group>
            </Stack>
        </Dialog>
    );
}

type Page = Api['PageRequest'];

function PageFields({ page, set }: { page: Page; set: (change: Partial<Page>) => void }) {
    return (
        <>
            <NumberInput
                label={t('Page number')}
                required
                min={1}
                max={999}
                value={page.number}
                onChange={(number) => set({ number: Number(number) })}
            />
            {page.last !== undefined && (
                <NumberInput
                    label={t('To page')}
                    description={t('For several pages at once.')}
                    min={page.number}
                    max={999}
                    value={page.last ?? ''}
                    onChange={(last) => set({ last: last === '' ? null : Number(last) })}
                />
            )}
            <Select
                label={t('Kind')}
                allowDeselect={false}
                value={page.kind}
                onChange={(kind) => kind !== null && set({ kind })}
                data={choices.PageKind}
            />
            <Line label={t('Title')} value={page.title ?? ''} set={(title) => set({ title })} />
            <Line label={t('What is new on it')} value={page.introduces} set={(introduces) => set({ introduces })} />
        </>
    );
}

interface LineProps {
    label: string;
    required?: boolean;
    value: string | null;
    set: (value: string) => void;
}

function Line({ set, value, ...rest }: LineProps) {
    return <TextInput {...rest} value={value ?? ''} onChange={(event) => set(event.currentTarget.value)} />;
}
