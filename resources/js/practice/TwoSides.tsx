import { Button, Group, Select, Stack, Text, Title } from '@mantine/core';
import { type ReactNode, useCallback, useState } from 'react';
import { type Api, api, at, choices } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble, Waiting } from '../shared/Notes';
import { isHere } from '../shared/students';
import { t } from '../text';
import { CardFace } from './CardFace';
import styles from './Practice.module.css';
import { SIDE, useSides } from './useSides';

type Kind = Api['DeckResource']['kind'];

/** What can be answered aloud and pressed by the teacher. */
const KINDS: Kind[] = ['name', 'find', 'way', 'finger', 'spell', 'count', 'same', 'say'];

const RULES = t(
    'Ten cards a side, in turns. Help from the side is allowed, and a card that is missed goes to the other side.',
);

interface Props {
    student: number;
    name: string;
    leave: () => void;
}

/** Two sides take turns on one screen: ten cards each, help is allowed, and what is missed goes to the other. */
export function TwoSides({ student, name, leave }: Props) {
    const [other, setOther] = useState<string | null>(null);
    const [kind, setKind] = useState<Kind>('name');
    const [turn, setTurn] = useState(0);
    const [isOn, setOn] = useState(false);
    const students = api.useQuery('get', '/students');
    const mine = api.useQuery('get', '/students/{student}/room', at({ student }));
    const theirs = api.useQuery('get', '/students/{student}/room', at({ student: Number(other ?? student) }));
    const others = (students.data ?? []).filter((one) => one.id !== student && isHere(one));
    const back = (
        <Button variant="default" onClick={isOn ? () => setOn(false) : leave}>
            ← {isOn ? t('Two sides') : t('What was trained')}
        </Button>
    );
    if (isOn && mine.data !== undefined && theirs.data !== undefined) {
        const second = others.find((one) => String(one.id) === other)?.name ?? t('The others');
        return (
            <>
                <Head back={back} />
                <Playing
                    key={turn}
                    rooms={[mine.data, theirs.data]}
                    names={[name, second]}
                    kind={kind}
                    again={() => setTurn(turn + 1)}
                />
            </>
        );
    }
    return (
        <Stack gap="md">
            <div>{back}</div>
            <Title order={1}>{t('Two sides')}</Title>
            <Text>{RULES}</Text>
            <Select
                label={t('The other side')}
                placeholder={t('Others, with the same cards')}
                clearable
                value={other}
                onChange={setOther}
                data={others.map((one) => ({ value: String(one.id), label: one.name }))}
            />
            <Select
                label={t('Cards')}
                value={kind}
                onChange={(value) => setKind((value as Kind | null) ?? 'name')}
                data={choices.DrillKind.filter((one) => KINDS.includes(one.value))}
            />
            <Trouble error={mine.error ?? theirs.error} />
            {mine.isPending || theirs.isPending ? (
                <Waiting what={t('One moment…')} />
            ) : (
                <Group>
                    <Button size="lg" onClick={() => setOn(true)}>
                        {t('Start')}
                    </Button>
                </Group>
            )}
        </Stack>
    );
}

function Head({ back }: { back: ReactNode }) {
    return (
        <Group justify="space-between">
            {back}
            <Title order={1} fz="lg">
                {t('Two sides')}
            </Title>
        </Group>
    );
}

interface PlayingProps {
    rooms: [Api['RoomResource'], Api['RoomResource']];
    names: [string, string];
    kind: Kind;
    again: () => void;
}

function Playing({ rooms, names, kind, again }: PlayingProps) {
    const { side, done, card, verdict, answer, go, isPassed } = useSides(rooms, kind);
    const isTold = verdict !== null && (verdict.right || isPassed);
    const listen = useCallback(() => () => undefined, []);
    const drawn = useCallback(() => undefined, []);
    useKeys(verdict === null ? [] : [{ key: 'Enter', does: t('go on to the next card'), run: go }]);
    return (
        <div className={styles.room}>
            <div className={styles.sides}>
                {names.map((name, i) => (
                    <div key={name} className={styles.side} data-turn={card !== null && side === i ? 'yes' : undefined}>
                        <Text ff="heading" fz="xl">
                            {name}
                        </Text>
                        <TenPetals done={done[i] ?? 0} />
                        {card !== null && side === i && <Text fw={700}>{t('Your turn')}</Text>}
                    </div>
                ))}
            </div>
            {card === null ? (
                <div className={styles.ended}>
                    <Text fz={28} ff="heading" role="status">
                        {t('Both sides are through. Well done together!')}
                    </Text>
                    <Button size="lg" onClick={again}>
                        {t('Once more')}
                    </Button>
                </div>
            ) : (
                <div className={styles.session}>
                    <CardFace
                        key={`${side} ${card.id} ${done.join(' ')}`}
                        card={card}
                        verdict={isTold ? verdict : null}
                        answer={answer}
                        onDrawn={drawn}
                        listen={listen}
                    />
                    {verdict !== null && (
                        <div className={styles.said} aria-live="polite">
                            <Text fz="lg">
                                {verdict.right
                                    ? t('✓ Yes!')
                                    : isPassed
                                      ? card.way
                                      : t('Not yet. It goes to the other side.')}
                            </Text>
                            <Button size="lg" mt="xs" onClick={go}>
                                {t('Go on')}
                            </Button>
                        </div>
                    )}
                </div>
            )}
        </div>
    );
}

/** A leaf for each card that is done. */
function TenPetals({ done }: { done: number }) {
    const label = t('{{done}} of {{all}} cards', { done, all: SIDE });
    return (
        <svg viewBox="0 0 220 24" width={220} height={24} role="img" aria-label={label}>
            {Array.from({ length: SIDE }, (_, i) => (
                <path
                    // biome-ignore lint/suspicious/noArrayIndexKey: a leaf has no other name than its place
                    key={i}
                    d={`M${11 + i * 22} 2 q8 10 0 20 q-8 -10 0 -20`}
                    fill={i < done ? 'var(--leaf)' : 'none'}
                    stroke="var(--leaf)"
                    strokeWidth="1.5"
                />
            ))}
        </svg>
    );
}
