import { Anchor, Badge, Button, Checkbox, Group, Stack, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, ask } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { Flower } from '../shared/Flower';
import { HandMark } from '../shared/HandMark';
import { Trouble } from '../shared/Notes';
import { type PathChoice, PathSelect } from '../shared/PathSelect';
import { shortDate } from '../shared/words';
import { Ladders } from './Ladders';

type Learning = Api['LearningResource'];

/** A page of the student: its flower and its stages, which can be ticked by hand. */
export function LearningCard({ learning, studentId }: { learning: Learning; studentId: number }) {
    const client = useQueryClient();
    const [climbing, setClimbing] = useState(false);
    const fresh = () => client.invalidateQueries({ queryKey: ['student', studentId] });
    const tick = useMutation({
        mutationFn: ({ id, passed }: { id: number; passed: boolean }) => ask('PATCH', `/stages/${id}`, { passed }),
        onSuccess: fresh,
    });
    const turn = useMutation({
        mutationFn: () =>
            ask('PATCH', `/learnings/${learning.id}`, { state: learning.state === 'resting' ? 'current' : 'resting' }),
        onSuccess: fresh,
    });
    const follow = useMutation({
        mutationFn: (choice: PathChoice) => ask('PUT', `/learnings/${learning.id}/path`, choice),
        onSuccess: fresh,
    });
    return (
        <section className="sheet" aria-label={learning.title}>
            <Group wrap="nowrap" align="flex-start">
                <Flower petals={learning.petals} finished={learning.state === 'finished'} />
                <div style={{ flex: 1 }}>
                    <Anchor
                        component={Link}
                        to={`/pieces/${learning.pieceId}?student=${studentId}`}
                        c="var(--ink)"
                        ff="heading"
                        fz="lg"
                        fw={600}
                    >
                        {learning.title}
                    </Anchor>
                    <Text size="sm" className="faint">
                        {learning.page}
                    </Text>
                    <Text size="sm">
                        {learning.state === 'finished' && learning.finishedOn
                            ? `signed off ${shortDate(learning.finishedOn)}`
                            : `${learning.state === 'resting' ? 'resting, ' : ''}open since ${shortDate(learning.openedOn)}`}
                    </Text>
                </div>
                {learning.state !== 'finished' && (
                    <Stack gap={4}>
                        <Button size="compact-sm" variant="default" onClick={() => turn.mutate()}>
                            {learning.state === 'resting' ? 'Take up' : 'Rest'}
                        </Button>
                        <Button
                            size="compact-sm"
                            variant="default"
                            aria-label={`Tempi of ${learning.title}`}
                            onClick={() => setClimbing(true)}
                        >
                            Tempi
                        </Button>
                    </Stack>
                )}
            </Group>
            <Dialog opened={climbing} onClose={() => setClimbing(false)} title={`Tempi of ${learning.title}`}>
                <Ladders learningId={learning.id} />
            </Dialog>
            <PathSelect
                size="xs"
                mt={6}
                aria-label={`Path of ${learning.title}`}
                value={{ path: learning.path, pathId: learning.pathId ?? null }}
                onChange={(choice) => follow.mutate(choice)}
            />
            <Trouble error={tick.error ?? turn.error ?? follow.error} />
            <ol className="plain-list" style={{ marginTop: '0.6rem' }}>
                {learning.stages.map((stage) => (
                    <li key={stage.id} style={{ padding: '2px 0' }}>
                        <Group gap="xs" wrap="nowrap">
                            <Checkbox
                                size="sm"
                                label={stage.name}
                                checked={stage.passedOn !== null}
                                onChange={(event) => tick.mutate({ id: stage.id, passed: event.currentTarget.checked })}
                            />
                            {stage.hand !== null && <HandMark hand={stage.hand} />}
                            {stage.tempo !== null && (
                                <Text size="xs" className="faint">
                                    at {stage.tempo}
                                </Text>
                            )}
                            {stage.misses > 0 && stage.passedOn === null && (
                                <Badge size="sm" variant="light" color="flower" tt="none" c="var(--ink)">
                                    {stage.misses === 1 ? 'again once' : `again ${stage.misses} times`}
                                </Badge>
                            )}
                        </Group>
                    </li>
                ))}
            </ol>
        </section>
    );
}
