import { Text } from '@mantine/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { type Key, useKeys } from '../shared/keys';
import { t } from '../text';
import { CardMusic } from './CardMusic';
import { HearAgain, useHeard } from './Heard';
import { Keys, useKeyRange, useLitKeys } from './Keys';
import { Options } from './Options';
import styles from './Practice.module.css';
import { StaffLadder } from './StaffLadder';
import { TapPad } from './TapPad';
import type { CardData, Verdict } from './useSession';

/**
 * A key of a keyboard, and when it went down, in milliseconds of the page's clock; one that a microphone heard sounds already.
 */
export type Take = (key: number, at: number, sounds?: boolean) => void;

export interface FaceProps {
    card: CardData;
    verdict: Verdict | null;
    answer: (verdict: Verdict, took?: number) => void;
    onDrawn: () => void;
    /** Told which keys a MIDI keyboard strikes. */
    listen: (take: Take) => () => void;
}

/** A card with what it shows, what sounds, and the way to answer it. */
export function CardFace(props: FaceProps) {
    const { card, onDrawn } = props;
    // What only stands there as words or sounds is there at once.
    useEffect(() => {
        if (card.music === null && card.hear.length === 0) onDrawn();
    }, [card, onDrawn]);
    return (
        <>
            <Text component="h2" className={styles.ask}>
                {card.ask}
            </Text>
            {card.sign !== null && <p className={styles.sign}>{card.sign}</p>}
            {card.music !== null && card.by !== 'staff' && <CardMusic music={card.music} onDrawn={onDrawn} />}
            <Answering {...props} />
        </>
    );
}

function Answering(props: FaceProps) {
    const { card, verdict, answer, onDrawn } = props;
    const choose = (given: string) => answer({ right: card.right.includes(given), given });
    switch (card.by) {
        case 'staff':
            return <StaffLadder card={card} verdict={verdict} choose={choose} onDrawn={onDrawn} />;
        case 'key':
            return <OneKey {...props} />;
        case 'phrase':
            return <Phrase {...props} />;
        case 'taps':
            return <TapPad {...props} />;
        default:
            return <Choosing {...props} choose={choose} />;
    }
}

/** As note names count octaves: middle C has the fourth. */
const octaveOf = (key: number) => String(Math.floor(key / 12) - 1);

/** Options, by touch, by their letter or number, or by a piano where they are letters. */
function Choosing({ card, verdict, choose, onDrawn, listen }: FaceProps & { choose: (id: string) => void }) {
    const latest = useRef(choose);
    latest.current = choose;
    useKeys(verdict === null ? keysOf(card, choose) : []);
    useEffect(
        () =>
            listen((key) => {
                const letter = ['C', '', 'D', '', 'E', 'F', '', 'G', '', 'A', '', 'B'][key % 12];
                const option = card.options.find((one) => one.id === letter || one.id === letter + octaveOf(key));
                if (option !== undefined) latest.current(option.id);
            }),
        [listen, card],
    );
    return (
        <>
            {card.hear.length > 0 && <Sounding card={card} onDrawn={onDrawn} />}
            <Options card={card} verdict={verdict} choose={choose} />
        </>
    );
}

/** Each option by its letter or figure; where they are words, by their number. */
function keysOf(card: CardData, choose: (id: string) => void): Key[] {
    return card.options.map(({ id, label }, i) => ({
        key: label.length < 3 ? label.charAt(0).toLowerCase() : String(i + 1),
        does: t('answer {{label}}', { label }),
        run: () => choose(id),
    }));
}

function Sounding({ card, onDrawn }: Pick<FaceProps, 'card' | 'onDrawn'>) {
    return <HearAgain heard={useHeard(card, onDrawn)} />;
}

const strike = (key: number) =>
    import('../shared/sound/strike').then((sound) => sound.strike([key])).catch(() => undefined);

function OneKey({ card, verdict, answer, listen }: FaceProps) {
    const take = useCallback(
        (key: number, _at?: number, sounds = false) => {
            if (!sounds) strike(key);
            answer({ right: card.right.includes(String(key)), given: String(key) });
        },
        [card, answer],
    );
    useEffect(() => listen(take), [listen, take]);
    const right = Number(card.right[0]);
    const range = useKeyRange(right);
    return (
        <Keys
            range={range}
            around={right}
            marked={verdict === null ? [] : [right]}
            struck={take}
            disabled={verdict !== null}
        />
    );
}

/** What was heard is played back, key after key. */
function Phrase({ card, verdict, answer, onDrawn, listen }: FaceProps) {
    const played = useRef<number[]>([]);
    const [count, setCount] = useState(0);
    const [lit, light] = useLitKeys();
    const heard = useHeard(card, onDrawn);
    const first = Number(card.right[0]);
    const range = useKeyRange(first);
    const take = useCallback(
        (key: number, _at?: number, sounds = false) => {
            light(key);
            if (!sounds) strike(key);
            played.current.push(key);
            setCount(played.current.length);
            if (played.current.length < card.right.length) return;
            const given = played.current.map(String);
            played.current = [];
            setCount(0);
            answer({ right: given.every((one, i) => one === card.right[i]), given: given.join(' ') });
        },
        [card, answer, light],
    );
    useEffect(() => listen(take), [listen, take]);
    return (
        <>
            <HearAgain heard={heard} />
            <p className={styles.dots} aria-hidden="true">
                {'●'.repeat(count)}
                {'○'.repeat(card.right.length - count)}
            </p>
            <Keys
                range={range}
                around={first}
                marked={verdict === null ? lit : card.right.map(Number)}
                struck={take}
                disabled={verdict !== null}
            />
        </>
    );
}
