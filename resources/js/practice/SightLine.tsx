import { Button, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { type Api, choices } from '../api';
import { Listen } from '../listening/Listen';
import type { TakeHeard, TakeRequest } from '../listening/take';
import { Score } from '../shared/score/Score';
import { Player } from '../shared/sound/Player';
import { t } from '../text';

type Line = Api['SightLineResource'];
export type Went = NonNullable<Line['went']>;
export type SightHeard = Api['SightHeardResource'];

/** Slow enough for anybody: the beat of the first try. */
const TEMPO = 60;

interface Props {
    line: Line;
    /** Keeps how it went. */
    keep: (went: Went) => void;
    /** Judges what was played; null where nothing is listened to. */
    hear: ((take: TakeRequest) => Promise<SightHeard>) | null;
}

/** A line that nobody has practised: looked at, tried once, then compared. */
export function SightLine({ line, keep, hear }: Props) {
    const [tried, setTried] = useState(line.went !== null);
    const [went, setWent] = useState<Went | null>(line.went);
    const [tempo, setTempo] = useState(TEMPO);
    const [heard, setHeard] = useState<TakeHeard | null>(null);
    const [lit, setLit] = useState<ReadonlyMap<string, 'yes' | 'left'>>(new Map());
    const say = (how: Went) => {
        setWent(how);
        keep(how);
    };
    return (
        <Stack gap="md">
            <Text fz="lg">
                {t(
                    'Look first: where do your hands start? Then count yourself in and play it once, slowly, without stopping.',
                )}
            </Text>
            <div className="sheet">
                <Score music={line.music} title={t('A line at sight')} scale={52} lines="free" lit={lit} />
            </div>
            <Text size="sm" className="faint">
                {t('Level {{level}}: {{reasons}}', { level: line.level, reasons: line.reasons.join(', ') })}
            </Text>
            {hear !== null && (
                <Listen
                    {...{ part: 0, tempo, heard }}
                    playback={line.playback}
                    hand={null}
                    told={setHeard}
                    hear={async (take) => {
                        const { heard, went } = await hear(take);
                        setTried(true);
                        say(went);
                        return heard;
                    }}
                    onLit={setLit}
                />
            )}
            {!tried && (
                <Button size="xl" onClick={() => setTried(true)}>
                    {t('I have played it')}
                </Button>
            )}
            {tried && (
                <>
                    <Text fw={700}>{t('Listen now: was it like this?')}</Text>
                    <Player
                        playback={line.playback}
                        tempo={tempo}
                        hand={null}
                        onTempo={setTempo}
                        onLit={setLit}
                        large
                    />
                    <HowItWent went={went} choose={say} />
                    {went !== null && <Text role="status">{t('Tomorrow there is a new one.')}</Text>}
                </>
            )}
        </Stack>
    );
}

/** Whoever heard it, or played it, says how it went. */
function HowItWent({ went, choose }: { went: Went | null; choose: (went: Went) => void }) {
    return (
        <fieldset aria-label={t('How did it go?')}>
            <Text fw={700} mb={6}>
                {t('How did it go?')}
            </Text>
            <Group>
                {choices.SightWent.map((one) => (
                    <Button
                        key={one.value}
                        size="lg"
                        variant={went === one.value ? 'filled' : 'default'}
                        aria-pressed={went === one.value}
                        onClick={() => choose(one.value)}
                    >
                        {one.label}
                    </Button>
                ))}
            </Group>
        </fieldset>
    );
}
