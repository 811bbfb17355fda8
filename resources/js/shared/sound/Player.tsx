import { Button, Checkbox, Group, SegmentedControl, Text } from '@mantine/core';
import { memo, useEffect, useRef, useState } from 'react';
import { type Api, type Playback, wordsOf } from '../../api';
import { t } from '../../text';
import { type beatAt, schedule, type Wish } from './beats';
import styles from './Player.module.css';
import { sounding } from './sounding';

interface Props {
    /** What sounds, or how to ask for it when it is wanted. */
    playback: Playback | (() => Promise<Playback>);
    tempo: number;
    hand: Api['Hand'] | null;
    /** Lights the notes as they sound. */
    onLit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void;
    /** Which bars are played, in words; nothing for all. */
    what?: string | undefined;
    large?: boolean;
    /** The tempi that slower and faster go to; by four beats where there are none. */
    rungs?: number[];
    /** To begin with, only the beat sounds: the player tries first, and compares. */
    tryFirst?: boolean;
    onTempo?: (tempo: number) => void;
}

type Struck = ReturnType<typeof beatAt>;

type State = 'still' | 'loading' | 'playing' | 'silent';

/** Play and stop, hands, tempo, count-in, metronome, loop. The sound is loaded when it is first played. */
export const Player = memo(function Player({
    playback,
    tempo,
    hand,
    onLit,
    what,
    large = false,
    rungs = [],
    tryFirst = false,
    onTempo,
}: Props) {
    const { wish, setWish, loop, setLoop, state, trouble, beat, toggle, setTempo } = usePlayer({
        playback,
        tempo,
        hand,
        onLit,
        tryFirst,
        onTempo,
    });
    const size = large ? 'lg' : 'sm';
    const sounds = state === 'playing' || state === 'silent';
    const known = typeof playback === 'function' ? null : playback;
    return (
        <fieldset className={styles.player} aria-label={t('Listen')}>
            <Group gap="sm" align="center">
                <Button size={size} onClick={toggle} loading={state === 'loading'} aria-pressed={sounds}>
                    {sounds ? t('Stop') : what === undefined ? t('Play') : t('Play {{what}}', { what })}
                </Button>
                <SegmentedControl
                    size={large ? 'md' : 'xs'}
                    aria-label={t('Hands')}
                    value={wish.hands}
                    onChange={(hands) => setWish({ ...wish, hands: hands as Wish['hands'] })}
                    data={[
                        { value: 'R', label: t('Right') },
                        { value: 'L', label: t('Left') },
                        { value: 'both', label: t('Both') },
                        ...(large ? [{ value: 'none', label: t('Only the beat') }] : []),
                    ]}
                />
                <TempoSteps tempo={wish.tempo} rungs={rungs} setTempo={setTempo} size={size} />
                <Checkbox
                    label={t('Count in')}
                    checked={wish.countIn}
                    onChange={(event) => setWish({ ...wish, countIn: event.currentTarget.checked })}
                />
                <Checkbox
                    label={t('Metronome')}
                    checked={wish.metronome}
                    onChange={(event) => setWish({ ...wish, metronome: event.currentTarget.checked })}
                />
                <Checkbox label={t('Loop')} checked={loop} onChange={(event) => setLoop(event.currentTarget.checked)} />
            </Group>
            {large && sounds && <Beat beat={beat} />}
            <PlayerWords counts={wish.countIn ? known : null} silent={state === 'silent'} trouble={trouble} />
        </fieldset>
    );
});

/** What plays, and how it is wished: the sound is fetched and laid out when it is first played. */
function usePlayer({
    playback,
    tempo,
    hand,
    onLit,
    tryFirst = false,
    onTempo,
}: Pick<Props, 'playback' | 'tempo' | 'hand' | 'onLit' | 'tryFirst' | 'onTempo'>) {
    const [wish, setWish] = useState<Wish>({
        tempo,
        hands: tryFirst ? 'none' : hand === 'R' || hand === 'L' ? hand : 'both',
        countIn: true,
        metronome: true,
    });
    const [loop, setLoop] = useState(false);
    const [state, setState] = useState<State>('still');
    const [trouble, setTrouble] = useState<unknown>(null);
    const [beat, setBeat] = useState<Struck>(null);
    const stop = useRef<(() => void) | null>(null);
    const halt = () => {
        stop.current?.();
        stop.current = null;
    };
    useEffect(() => () => stop.current?.(), []);
    useEffect(() => setWish((before) => (before.tempo === tempo ? before : { ...before, tempo })), [tempo]);

    const toggle = async () => {
        if (state === 'playing' || state === 'silent') {
            halt();
            setState('still');
            return;
        }
        setState('loading');
        setTrouble(null);
        let plan: ReturnType<typeof schedule>;
        try {
            plan = schedule(typeof playback === 'function' ? await playback() : playback, wish);
        } catch (error) {
            setTrouble(error);
            setState('still');
            return;
        }
        const listener = { lit: onLit, beat: setBeat, ended: () => setState('still') };
        const sounds = await sounding(plan, listener, loop);
        stop.current = sounds.stop;
        setState(sounds.isSilent ? 'silent' : 'playing');
    };
    const setTempo = (to: number) => {
        setWish({ ...wish, tempo: to });
        onTempo?.(to);
    };
    return { wish, setWish, loop, setLoop, state, trouble, beat, toggle, setTempo };
}

/** The beat to be seen: it changes sides with every stroke, and is larger where a bar begins. */
function Beat({ beat }: { beat: Struck }) {
    return (
        <div className={styles.beat} aria-hidden="true">
            {[0, 1].map((side) => (
                <span
                    key={side}
                    className={styles.stroke}
                    data-on={beat !== null && beat.nth % 2 === side ? 'yes' : undefined}
                    data-accent={beat?.accent ? 'yes' : undefined}
                />
            ))}
        </div>
    );
}

interface TempoProps {
    tempo: number;
    rungs: number[];
    setTempo: (tempo: number) => void;
    size: 'lg' | 'sm';
}

/** Slower and faster, by the rungs where there are some. */
function TempoSteps({ tempo, rungs, setTempo, size }: TempoProps) {
    const tempoBy = (way: 1 | -1) => {
        const rung = way > 0 ? rungs.find((one) => one > tempo) : rungs.findLast((one) => one < tempo);
        setTempo(rung ?? Math.min(400, Math.max(20, tempo + 4 * way)));
    };
    return (
        <Group gap={6} wrap="nowrap">
            <Button variant="default" size={size} px="sm" onClick={() => tempoBy(-1)} aria-label={t('Slower')}>
                −
            </Button>
            <Text fw={700} miw="2.2rem" ta="center" aria-live="polite">
                {tempo}
            </Text>
            <Button variant="default" size={size} px="sm" onClick={() => tempoBy(1)} aria-label={t('Faster')}>
                +
            </Button>
        </Group>
    );
}

/** How it is counted in, and what is wrong. */
function PlayerWords({ counts, silent, trouble }: { counts: Playback | null; silent: boolean; trouble: unknown }) {
    return (
        <>
            {counts !== null && counts.counts.length > 0 && (
                <Text size="sm" className="faint" mt={4}>
                    {t('Count in {{counts}}, then play on {{enter}}.', {
                        counts: counts.counts.join(' '),
                        enter: counts.enter,
                    })}
                </Text>
            )}
            {silent && (
                <Text size="sm" role="status">
                    {t('This device gives no sound. The notes light up all the same: count aloud and play along.')}
                </Text>
            )}
            {trouble !== null && (
                <Text size="sm" role="alert">
                    {wordsOf(trouble).join(' ')}
                </Text>
            )}
        </>
    );
}
