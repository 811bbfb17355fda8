import { Anchor, Button, Group, Stack, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Flower } from '../shared/Flower';
import { Trouble } from '../shared/Notes';
import { shortDate } from '../shared/words';
import { t } from '../text';
import { Ladders } from './Ladders';
import styles from './LearningCard.module.css';
import { FinishedStages, Stages, useFresh } from './Stages';

type Learning = Api['LearningResource'];

/** A page of the student: its flower and its stages; of one that is signed off they are shown when they are wanted. */
export function LearningCard({ learning, studentId }: { learning: Learning; studentId: number }) {
    const [climbing, setClimbing] = useState(false);
    const finished = learning.state === 'finished';
    // One that is signed off by its last stage here keeps showing them, so that it can be taken back.
    const [looking, setLooking] = useState(!finished);
    const fresh = useFresh(learning, studentId);
    const turn = useMutation({
        mutationFn: () =>
            ask('patch', '/learnings/{learning}', {
                ...at({ learning: learning.id }),
                body: { state: learning.state === 'resting' ? 'current' : 'resting' },
            }),
        onSuccess: fresh,
    });
    return (
        <section className="sheet" aria-label={learning.title}>
            <Group wrap="nowrap" align="flex-start">
                <Flower petals={learning.petals} finished={finished} />
                <PageWords learning={learning} studentId={studentId} />
                {finished && (
                    <Button
                        size="compact-sm"
                        variant="default"
                        aria-expanded={looking}
                        aria-label={t('Stages of {{title}}', { title: learning.title })}
                        onClick={() => setLooking(!looking)}
                    >
                        {t('Stages')}
                    </Button>
                )}
                {!finished && (
                    <Stack gap={4}>
                        <Button size="compact-sm" variant="default" onClick={() => turn.mutate()}>
                            {learning.state === 'resting' ? t('Take up again') : t('Pause this page')}
                        </Button>
                        <Button
                            size="compact-sm"
                            variant="default"
                            aria-label={t('Tempos of {{title}}', { title: learning.title })}
                            onClick={() => setClimbing(true)}
                        >
                            {t('Tempos')}
                        </Button>
                    </Stack>
                )}
            </Group>
            <Dialog
                opened={climbing}
                onClose={() => setClimbing(false)}
                title={t('Tempos of {{title}}', { title: learning.title })}
            >
                <Ladders learningId={learning.id} />
            </Dialog>
            <Trouble error={turn.error} />
            {!finished && <Stages learning={learning} studentId={studentId} />}
            {finished && looking && <FinishedStages learning={learning} studentId={studentId} />}
        </section>
    );
}

/** Its name, which leads to the desk, and how far it has come. */
function PageWords({ learning, studentId }: { learning: Learning; studentId: number }) {
    const finished = learning.state === 'finished';
    return (
        <div className={styles.name}>
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
                {finished && learning.finishedOn
                    ? t('signed off {{shortDate}}', { shortDate: shortDate(learning.finishedOn) })
                    : learning.state === 'resting'
                      ? t('resting, open since {{shortDate}}', { shortDate: shortDate(learning.openedOn) })
                      : t('open since {{shortDate}}', { shortDate: shortDate(learning.openedOn) })}
            </Text>
        </div>
    );
}
