import { Button, Checkbox, Group, Select, Stack, Textarea, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { type Api, choices } from '../api';
import { Dialog } from '../shared/Dialog';
import { t } from '../text';
import { EMPTY_STEP, type Step } from './steps';

const HANDS = [
    { value: 'both' as const, label: t('whichever plays') },
    ...choices.Hand.map(({ value, label }) => ({ value, label: t('{{label}} hand', { label: label.toLowerCase() }) })),
];

/** What a stage of one's own may be done on, the longest first. */
const OWN_PARTS: Api['ChunkKind'][] = ['whole', 'line', 'half-line', 'bar-over'];
const PARTS = OWN_PARTS.flatMap((part) => choices.ChunkKind.filter((one) => one.value === part));

interface Props {
    /** Null for a new one. */
    start: Step | null;
    keep: (step: Step) => void;
    close: () => void;
}

/** A stage of the teacher’s own: what the student does, and what passes it. */
export function OwnStage({ start, keep, close }: Props) {
    const [draft, setDraft] = useState(start ?? EMPTY_STEP);
    const set = (change: Partial<Step>) => setDraft((before) => ({ ...before, ...change }));
    const submit = (event: FormEvent) => {
        event.preventDefault();
        keep({ ...draft, name: draft.name.trim(), sentence: draft.sentence.trim() });
    };
    return (
        <Dialog opened onClose={close} title={start === null ? t('A stage of your own') : t('Your stage')}>
            <Stack component="form" onSubmit={submit} gap="sm">
                <TextInput
                    label={t('Name')}
                    required
                    maxLength={40}
                    data-autofocus
                    value={draft.name}
                    onChange={(event) => set({ name: event.currentTarget.value })}
                />
                <Textarea
                    label={t('What the student does, in one sentence')}
                    required
                    maxLength={240}
                    value={draft.sentence}
                    onChange={(event) => set({ sentence: event.currentTarget.value })}
                />
                <TextInput
                    label={t('It passes')}
                    placeholder={choices.PassMark.find((one) => one.value === draft.usually)?.label}
                    maxLength={190}
                    value={draft.passMark}
                    onChange={(event) => set({ passMark: event.currentTarget.value })}
                />
                <Checkbox
                    label={t('Three in a row, not once through')}
                    checked={draft.usually === 'three in a row'}
                    onChange={(event) =>
                        set({ usually: event.currentTarget.checked ? 'three in a row' : 'once through' })
                    }
                />
                <HandAndParts draft={draft} set={set} />
                <Group>
                    <Button type="submit">{start === null ? t('Add it') : t('Keep it')}</Button>
                </Group>
            </Stack>
        </Dialog>
    );
}

/** The hand, the parts it is done in, and the petal it opens. */
function HandAndParts({ draft, set }: { draft: Step; set: (change: Partial<Step>) => void }) {
    return (
        <Group grow>
            <Select
                label={t('Hand')}
                allowDeselect={false}
                value={draft.hand ?? 'both'}
                onChange={(hand) => set({ hand: hand === 'both' ? null : hand })}
                data={HANDS}
            />
            <Select
                label={t('In parts of')}
                allowDeselect={false}
                value={draft.chunks}
                onChange={(chunks) => set({ chunks: chunks ?? 'line' })}
                data={PARTS}
            />
            <Select
                label={t('Petal')}
                clearable
                placeholder={t('none')}
                value={draft.petal}
                onChange={(petal) => set({ petal })}
                data={choices.Petal}
            />
        </Group>
    );
}
