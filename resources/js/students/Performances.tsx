import { Button, Group, MultiSelect, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { QUIET } from '../shared/quiet';
import { fullDate } from '../shared/words';
import { t } from '../text';

type Performance = Api['PerformanceResource'];

interface Props {
    studentId: number;
    performances: Performance[];
    /** All pieces that the student has opened. */
    pieces: Api['OpenedPieceResource'][];
}

/** When the student plays to others; in the two weeks before, the plan has those pieces on every day. */
export function Performances({ studentId, performances, pieces }: Props) {
    const client = useQueryClient();
    const [inHand, setInHand] = useState<Performance | 'new' | null>(null);
    const fresh = () => {
        setInHand(null);
        client.invalidateQueries();
    };
    const remove = useMutation({
        mutationFn: (performance: number) => ask('delete', '/performances/{performance}', at({ performance })),
        onSuccess: fresh,
    });
    return (
        <section className="sheet" aria-label={t('Performances')}>
            <Group justify="space-between">
                <Title order={2} fz="lg">
                    {t('Performances')}
                </Title>
                <Button size="compact-sm" variant="default" onClick={() => setInHand('new')}>
                    {t('Enter a performance')}
                </Button>
            </Group>
            <Trouble error={remove.error} />
            {performances.length === 0 && (
                <Text size="sm" className="faint" mt={4}>
                    {t(
                        'None ahead. For a performance that is entered, the two weeks before it are planned with its pieces on every day.',
                    )}
                </Text>
            )}
            <Stack gap={4} mt="xs">
                {performances.map((performance) => (
                    <Line
                        key={performance.id}
                        performance={performance}
                        change={() => setInHand(performance)}
                        remove={() => remove.mutate(performance.id)}
                    />
                ))}
            </Stack>
            <Dialog
                opened={inHand !== null}
                onClose={() => setInHand(null)}
                title={inHand === 'new' ? t('Enter a performance') : t('Change a performance')}
            >
                {inHand !== null && (
                    <PerformanceForm
                        studentId={studentId}
                        start={inHand === 'new' ? null : inHand}
                        pieces={pieces}
                        done={fresh}
                    />
                )}
            </Dialog>
        </section>
    );
}

interface LineProps {
    performance: Performance;
    change: () => void;
    remove: () => void;
}

function Line({ performance, change, remove }: LineProps) {
    return (
        <Group gap="xs">
            <Text size="sm">
                <b>{performance.title}</b>, {fullDate(performance.date)}: {performance.pieces.join(', ')}
            </Text>
            <Button {...QUIET} onClick={change} aria-label={t('Change {{title}}', { title: performance.title })}>
                {t('change')}
            </Button>
            <Button {...QUIET} onClick={remove} aria-label={t('Remove {{title}}', { title: performance.title })}>
                {t('remove')}
            </Button>
        </Group>
    );
}

interface FormProps {
    studentId: number;
    /** That is changed; null for a new one. */
    start: Performance | null;
    pieces: Props['pieces'];
    done: () => void;
}

function PerformanceForm({ studentId, start, pieces, done }: FormProps) {
    const [draft, setDraft] = useState({
        title: start?.title ?? '',
        date: start?.date ?? '',
        learningIds: start?.learningIds ?? [],
    });
    const set = (change: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...change }));
    const save = useMutation({
        mutationFn: () =>
            start === null
                ? ask('post', '/students/{student}/performances', { ...at({ student: studentId }), body: draft })
                : ask('put', '/performances/{performance}', { ...at({ performance: start.id }), body: draft }),
        onSuccess: done,
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        // Pressed twice, it is sent once.
        if (!save.isPending) save.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <TextInput
                label={t('What it is')}
                placeholder={t('Summer concert')}
                required
                maxLength={60}
                value={draft.title}
                onChange={(event) => set({ title: event.currentTarget.value })}
                data-autofocus
            />
            <TextInput
                label={t('Day')}
                type="date"
                required
                value={draft.date}
                onChange={(event) => set({ date: event.currentTarget.value })}
            />
            <MultiSelect
                label={t('Pieces, in the order they are played')}
                searchable
                hidePickedOptions
                maxValues={12}
                nothingFoundMessage={t('No piece of this name is open or signed off.')}
                value={draft.learningIds.map(String)}
                onChange={(ids) => set({ learningIds: ids.map(Number) })}
                data={pieces
                    .filter((piece) => piece.isPlayed)
                    .map((piece) => ({ value: String(piece.id), label: piece.title }))}
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
