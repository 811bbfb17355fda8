import { useCallback, useEffect, useRef, useState } from 'react';
import { playWritten } from '../listening/playBack';
import type { TakeHeard } from '../listening/take';
import { useVoice, utterance } from '../shared/voice';
import { phraseOf, type Run, type Step, timeToRead, withAgain } from './steps';

/** What goes on: words are said, bars are played, the student plays, or a press is awaited. */
export type Phase = 'ready' | 'saying' | 'playing' | 'turn' | 'alone' | 'rest' | 'asks' | 'paused' | 'over';

interface Props {
    run: Run;
    /** The step’s own voice, where the teacher has spoken it; resolves when it is over. */
    voiceOf: (step: Step) => Promise<HTMLAudioElement | null>;
    /** Ticks the task of a step, or says that a run is done. */
    done: (step: Step, plays: number) => void;
    lit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void;
}

/** Leads through the steps of a run; whoever pauses, repeats or skips takes it from there. */
export function useLead({ run, voiceOf, done, lit }: Props) {
    const [steps, setSteps] = useState<readonly Step[]>(run.steps);
    const [at, setAt] = useState(0);
    const [phase, setPhase] = useState<Phase>('ready');
    /** What is said of the last turn. */
    const [told, setTold] = useState<TakeHeard | null>(null);
    const [why, setWhy] = useState<string | null>(null);
    const [counted, setCounted] = useState(0);
    const show = { setAt, setPhase, setCounted };
    const { begin, halt, work, tick } = useRunning({ run, voiceOf, done, lit }, show);
    const go = (to: number) => begin(steps, to);
    /** What was heard of a turn; null where nobody listened, and one is asked. */
    const heard = (of: TakeHeard | null, because: string | null = null) => {
        setTold(of);
        setWhy(because);
        work.current = { done: true, plays: work.current.plays + 1 };
        if (of === null) setPhase('asks');
        else if (of.clean || (steps[at]?.again.length ?? 0) === 0) go(at + 1);
        else wrong();
    };
    const wrong = () => {
        const more = withAgain(steps, at);
        setSteps(more);
        begin(more, at + 1);
    };
    /** What was done is ticked all the same. */
    const skip = () => {
        const step = steps[at];
        if (step?.kind === 'done') tick(step);
        go(at + 1);
    };
    /** It was done alone, or it was good. */
    const on = () => {
        work.current.done = true;
        go(at + 1);
    };
    const pause = () => {
        halt();
        setPhase('paused');
    };
    const again = () => ((steps[at]?.again.length ?? 0) > 0 && phase === 'asks' ? wrong() : go(at));
    return { step: steps[at], at, count: steps.length, phase, told, why, counted, go, skip, on, heard, pause, again };
}

interface Shows {
    setAt: (at: number) => void;
    setPhase: (phase: Phase) => void;
    setCounted: (nth: number) => void;
}

/** Begins steps one after the other; each breaks off what was before. */
function useRunning({ run, voiceOf, done, lit }: Props, show: Shows) {
    const speaker = useSpeaker(voiceOf);
    const stop = useRef<(() => void) | null>(null);
    /** What was done of the task, and how often it was played: what was skipped from end to end is not ticked. */
    const work = useRef({ done: false, plays: 0 });
    /** Another number with every step that is begun, so that what was broken off goes no further. */
    const turn = useRef(0);
    const latest = useRef({ done, lit, show });
    latest.current = { done, lit, show };

    const halt = useCallback(() => {
        turn.current++;
        stop.current?.();
        stop.current = null;
        speaker.hush();
        latest.current.lit(new Map());
    }, [speaker]);
    useEffect(() => halt, [halt]);

    const tick = useCallback((step: Step) => {
        if (work.current.done) latest.current.done(step, Math.max(1, work.current.plays));
        work.current = { done: false, plays: 0 };
    }, []);
    const begin = useCallback(
        async (all: readonly Step[], to: number) => {
            halt();
            const own = turn.current;
            const step = all[to];
            latest.current.show.setAt(to);
            if (step === undefined) {
                latest.current.show.setPhase('over');
                return;
            }
            const isOwn = () => own === turn.current;
            latest.current.show.setPhase('saying');
            await speaker.say(step);
            if (!isOwn()) return;
            const next = () => {
                if (!isOwn()) return;
                if (step.kind === 'play' || step.kind === 'along') work.current.done = true;
                begin(all, to + 1);
            };
            const kept = (ends: () => void) => {
                if (isOwn()) stop.current = ends;
                else ends();
            };
            const ticked = () => {
                tick(step);
                next();
            };
            const { lit, show } = latest.current;
            await follow(run, step, { setPhase: show.setPhase, next, kept, ticked, lit, counted: show.setCounted });
        },
        [halt, run, speaker, tick],
    );
    return { begin, halt, work, tick };
}

interface Follows {
    setPhase: (phase: Phase) => void;
    next: () => void;
    /** Keeps what stops that which was begun. */
    kept: (ends: () => void) => void;
    ticked: () => void;
    lit: Props['lit'];
    counted: (nth: number) => void;
}

/** What comes after the words of a step. */
async function follow(run: Run, step: Step, { setPhase, next, kept, ticked, lit, counted }: Follows): Promise<void> {
    const phrase = phraseOf(run, step);
    if (step.kind === 'turn' || step.kind === 'alone') setPhase(step.kind);
    else if (step.kind === 'rest') {
        setPhase('rest');
        const timer = setTimeout(next, 1_000 * step.seconds);
        kept(() => clearTimeout(timer));
    } else if (step.kind === 'done') ticked();
    else if (phrase !== undefined && (step.kind === 'play' || step.kind === 'along')) {
        setPhase('playing');
        const hand = step.kind === 'along' ? 'none' : step.hand;
        const how = {
            playback: phrase.playback,
            tempo: step.tempo ?? 60,
            hand,
            countIn: true,
            metronome: true,
        } as const;
        kept(await playWritten(how, next, lit, counted));
    } else next();
}

/** Says words by the voice of the browser, or gives time to read them. */
function useSpeaker(voiceOf: Props['voiceOf']) {
    const voice = useVoice();
    const hush = useRef<() => void>(() => undefined);
    const latest = useRef({ voice, voiceOf });
    latest.current = { voice, voiceOf };
    const [speaker] = useState(() => ({
        hush: () => hush.current(),
        say: (step: Step) =>
            new Promise<void>((said) => {
                const timer = setTimeout(said, step.hasVoice ? 90_000 : 2_000 + 2 * timeToRead(step.words));
                const over = () => {
                    clearTimeout(timer);
                    said();
                };
                hush.current = over;
                if (step.hasVoice) ownVoice(step, latest.current.voiceOf, over, hush);
                else if (latest.current.voice === null) setTimeout(over, timeToRead(step.words));
                else {
                    const aloud = utterance(step.words, latest.current.voice);
                    aloud.onend = over;
                    aloud.onerror = over;
                    hush.current = () => {
                        speechSynthesis.cancel();
                        over();
                    };
                    speechSynthesis.speak(aloud);
                }
            }),
    }));
    return speaker;
}

async function ownVoice(step: Step, voiceOf: Props['voiceOf'], over: () => void, hush: { current: () => void }) {
    const audio = await voiceOf(step).catch(() => null);
    if (audio === null) {
        setTimeout(over, timeToRead(step.words));
        return;
    }
    audio.onended = over;
    audio.onerror = over;
    hush.current = () => {
        audio.pause();
        over();
    };
    audio.play().catch(over);
}
