import { Button, Group, Progress, Stack, Text, Title } from '@mantine/core';
import { useRef, useState } from 'react';
import { Sources } from '../listening/parts';
import type { Hear, TakeHeard } from '../listening/take';
import type { Source } from '../listening/useListening';
import { useSource } from '../listening/useSource';
import { useMidi } from '../shared/midi/devices';
import { Score } from '../shared/score/Score';
import { TaskPicture } from '../shared/TaskPicture';
import { t } from '../text';
import styles from './Lead.module.css';
import { phraseOf, type Run, type Step } from './steps';
import { type Ears, Turn } from './Turn';
import { type Phase, useLead } from './useLead';

interface Props {
    run: Run;
    /** Judges what was played in a step; null where there is no connection. */
    hear: (step: Step) => Hear;
    done: (step: Step, plays: number) => void;
    voiceOf?: (step: Step) => Promise<HTMLAudioElement | null>;
    /** Opens what a step is done in, where that is a room of its own; null for others. */
    opens?: (step: Step) => (() => void) | null;
    /** The run is over. */
    over?: () => void;
    leave: () => void;
}

const noVoice = () => Promise.resolve(null);

/** A led run: it says what comes, plays, listens, and goes on by itself; big words, three big buttons. */
export function Lead({ run, hear, done, voiceOf = noVoice, opens, over, leave }: Props) {
    const [lit, setLit] = useState<ReadonlyMap<string, 'yes' | 'left'>>(new Map());
    const [listens, setListens] = useState(true);
    const [source, setSource] = useSource();
    const lead = useLead({ run, voiceOf, done, lit: setLit });
    // The keyboard is chosen once; whoever’s turn it is hears it.
    const ears = useRef<Ears | null>(null);
    const midi = useMidi({
        onKey: (key, at) => ears.current?.down(key, at),
        onUp: (key, at) => ears.current?.up(key, at),
    });
    const { step, phase } = lead;
    const piece = run.pieces.find((one) => one.id === step?.pieceId);
    const phrase = phraseOf(run, step);
    if (run.steps.length === 0) return <Nothing leave={leave} />;
    if (phase === 'ready') {
        return <Ready {...{ run, source, setSource, listens, setListens, midi, leave }} start={() => lead.go(0)} />;
    }
    if (phase === 'over' || step === undefined) return <Over leave={over ?? leave} isLesson={run.title !== null} />;
    return (
        <Stack className={styles.lead}>
            <Progress value={(100 * lead.at) / Math.max(1, lead.count)} aria-label={t('How far you are')} />
            <Says {...{ step, phase }} told={lead.told} why={lead.why} counted={lead.counted} />
            {piece !== undefined && phrase !== undefined && (
                <div className="sheet">
                    <Score
                        music={piece.music}
                        title={`${piece.title}, ${step.words}`}
                        scale={42}
                        lines="free"
                        range={[phrase.first, phrase.last]}
                        lit={lit}
                    />
                </div>
            )}
            {phase === 'turn' && phrase !== undefined && (
                <Turn
                    key={lead.at}
                    {...{ step, source, listens, midi, ears }}
                    playback={phrase.playback}
                    hear={hear(step)}
                    heard={lead.heard}
                    lit={setLit}
                />
            )}
            <WaitsFor
                phase={phase}
                open={opens?.(step) ?? null}
                again={lead.again}
                on={lead.on}
                resume={() => lead.go(lead.at)}
            />
            {phase !== 'paused' && <BigButtons pause={lead.pause} again={() => lead.go(lead.at)} skip={lead.skip} />}
            <Button variant="subtle" onClick={leave}>
                {t('Stop here')}
            </Button>
        </Stack>
    );
}

interface SaysProps {
    step: Step;
    phase: Phase;
    told: TakeHeard | null;
    /** Why a turn could not be told. */
    why: string | null;
    counted: number;
}

/** The words of a step, large, with its picture; after a turn, what went well. */
function Says({ step, phase, told, why, counted }: SaysProps) {
    return (
        <Group wrap="nowrap" align="center" className={styles.words}>
            <TaskPicture sign={step.sign} size={56} />
            <div role="status">
                {told !== null && phase === 'saying' && <Text fz="lg">{told.well}</Text>}
                <Title order={1}>{step.words}</Title>
                {why !== null && phase === 'asks' && <Text fz="lg">{why}</Text>}
                <Text className="faint" fz="lg">
                    {phaseWords(phase, counted)}
                </Text>
            </div>
        </Group>
    );
}

function BigButtons({ pause, again, skip }: { pause: () => void; again: () => void; skip: () => void }) {
    return (
        <Group grow className={styles.buttons}>
            <Button size="xl" variant="default" onClick={pause}>
                {t('Pause')}
            </Button>
            <Button size="xl" variant="default" onClick={again}>
                {t('Again')}
            </Button>
            <Button size="xl" variant="default" onClick={skip}>
                {t('Skip')}
            </Button>
        </Group>
    );
}

function phaseWords(phase: Phase, counted: number): string {
    if (phase === 'playing') return counted === 0 ? t('Listen.') : t('Listen. {{counted}}', { counted });
    if (phase === 'rest') return t('It goes on by itself.');
    return phase === 'paused' ? t('Paused.') : '';
}

interface ReadyProps {
    run: Run;
    source: Source;
    setSource: (source: Source) => void;
    listens: boolean;
    setListens: (listens: boolean) => void;
    midi: ReturnType<typeof useMidi>;
    start: () => void;
    leave: () => void;
}

/** Before it begins: how long it takes, and by what it listens. */
function Ready({ run, source, setSource, listens, setListens, midi, start, leave }: ReadyProps) {
    const minutes = Math.max(1, Math.round(run.steps.reduce((sum, step) => sum + step.seconds, 0) / 60));
    return (
        <Stack className={styles.lead}>
            <Title order={1}>{run.title ?? t('I lead you through today')}</Title>
            <Text fz="lg">
                {t('About {{minutes}} min. Put this on the music stand. I say what comes, I play, then you play.', {
                    minutes,
                })}
            </Text>
            <Button size="xl" onClick={start}>
                {t('Begin')}
            </Button>
            <section className="sheet" aria-label={t('Listening')}>
                <Button variant="light" aria-pressed={listens} onClick={() => setListens(!listens)}>
                    {listens ? t('It listens to me') : t('It waits, and does not listen')}
                </Button>
                {listens && <Sources {...{ source, setSource, midi }} />}
            </section>
            <Button variant="subtle" onClick={leave}>
                {t('Not now')}
            </Button>
        </Stack>
    );
}

interface WaitsProps {
    phase: Phase;
    /** Where the step is done. */
    open: (() => void) | null;
    again: () => void;
    on: () => void;
    resume: () => void;
}

/** What is awaited: that it was done, whether to play again, or to go on. */
function WaitsFor({ phase, open, again, on, resume }: WaitsProps) {
    if (phase === 'alone') {
        return (
            <Group grow>
                {open !== null && (
                    <Button size="xl" onClick={open}>
                        {t('Start')}
                    </Button>
                )}
                <Button size="xl" variant={open === null ? 'filled' : 'light'} onClick={on}>
                    {t('I have done it')}
                </Button>
            </Group>
        );
    }
    if (phase === 'asks') {
        return (
            <Group grow>
                <Button size="xl" variant="light" onClick={again}>
                    {t('Not yet: again')}
                </Button>
                <Button size="xl" onClick={on}>
                    {t('That was good: go on')}
                </Button>
            </Group>
        );
    }
    return phase !== 'paused' ? null : (
        <Button size="xl" onClick={resume}>
            {t('Go on')}
        </Button>
    );
}

function Nothing({ leave }: { leave: () => void }) {
    return (
        <Stack className={styles.lead}>
            <Title order={1}>{t('All done for today')}</Title>
            <Text fz="lg">{t('There is nothing left to lead you through. Play what you like.')}</Text>
            <Button size="lg" onClick={leave}>
                {t('Back')}
            </Button>
        </Stack>
    );
}

function Over({ leave, isLesson }: { leave: () => void; isLesson: boolean }) {
    return (
        <Stack className={styles.lead}>
            <div role="status">
                <Title order={1}>{t('That was all for today. Well done!')}</Title>
            </div>
            <Text fz="lg">{isLesson ? t('Your teacher sees how it went.') : t('Everything you did is ticked.')}</Text>
            <Button size="xl" onClick={leave}>
                {t('Back to today')}
            </Button>
        </Stack>
    );
}
