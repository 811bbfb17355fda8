import { Button, Group, Text } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { ask, at } from '../api';
import { QUIET } from '../shared/quiet';
import { t } from '../text';

interface Props {
    /** Which step, in words. */
    of: string;
    /** Of the server, where it was saved. */
    stepId: number | null;
    has: boolean;
    voice: string | null | undefined;
    recorded: (voice: string | null) => void;
}

/** Seconds. */
const LONGEST = 60;

/** Bits a second: enough for a voice, and a minute fits into one request. */
const QUALITY = 32_000;

/** Records up to a minute of the teacher’s voice in the place of the words that are read aloud. */
export function VoiceButton({ of, stepId, has, voice, recorded }: Props) {
    const { seconds, trouble, start, stop } = useRecorder(recorded);
    const [plays, setPlays] = useState<HTMLAudioElement | null>(null);
    useEffect(() => () => plays?.pause(), [plays]);
    const isThere = voice === undefined ? has : voice !== null;
    const play = async () => {
        if (plays !== null) {
            plays.pause();
            setPlays(null);
            return;
        }
        const kept =
            stepId === null ? null : (await ask('get', '/led-steps/{ledStep}/voice', at({ ledStep: stepId }))).voice;
        const audio = new Audio(voice ?? kept ?? '');
        audio.onended = () => setPlays(null);
        setPlays(audio);
        audio.play().catch(() => setPlays(null));
    };
    return (
        <Group gap="xs">
            {seconds === null ? (
                <Button {...QUIET} onClick={start} aria-label={t('Say it yourself: {{of}}', { of })}>
                    {isThere ? t('say it anew') : t('say it yourself')}
                </Button>
            ) : (
                <Button size="compact-sm" onClick={stop}>
                    {t('Stop recording ({{seconds}} s)', { seconds })}
                </Button>
            )}
            {isThere && seconds === null && (
                <>
                    <Button {...QUIET} onClick={play} aria-label={t('Hear your voice: {{of}}', { of })}>
                        {plays === null ? t('hear it') : t('stop')}
                    </Button>
                    <Button
                        {...QUIET}
                        onClick={() => recorded(null)}
                        aria-label={t('Remove your voice: {{of}}', { of })}
                    >
                        {t('remove')}
                    </Button>
                </>
            )}
            {trouble !== null && (
                <Text size="sm" role="status">
                    {trouble}
                </Text>
            )}
        </Group>
    );
}

function useRecorder(recorded: (voice: string) => void) {
    const [seconds, setSeconds] = useState<number | null>(null);
    const [trouble, setTrouble] = useState<string | null>(null);
    const recorder = useRef<MediaRecorder | null>(null);
    useEffect(() => () => recorder.current?.stream.getTracks().forEach((track) => void track.stop()), []);
    const start = async () => {
        setTrouble(null);
        let stream: MediaStream;
        try {
            stream = await navigator.mediaDevices.getUserMedia({ audio: true });
        } catch {
            setTrouble(t('The microphone is not allowed. Allow it in the settings of this page.'));
            return;
        }
        const own = new MediaRecorder(stream, { audioBitsPerSecond: QUALITY });
        recorder.current = own;
        const parts: Blob[] = [];
        let passed = 0;
        const timer = setInterval(() => {
            passed++;
            setSeconds(passed);
            if (passed >= LONGEST) own.stop();
        }, 1_000);
        own.ondataavailable = ({ data }) => parts.push(data);
        own.onstop = async () => {
            clearInterval(timer);
            for (const track of stream.getTracks()) track.stop();
            setSeconds(null);
            recorded(await addressOf(new Blob(parts, { type: own.mimeType })));
        };
        setSeconds(0);
        own.start();
    };
    return { seconds, trouble, start, stop: () => recorder.current?.stop() };
}

/** As a data address, without the spaces that some browsers write into its type. */
export function addressOf(blob: Blob): Promise<string> {
    return new Promise((done, failed) => {
        const reader = new FileReader();
        reader.onload = () => done(String(reader.result).replaceAll(' ', ''));
        reader.onerror = () => failed(new Error('the recording could not be read'));
        reader.readAsDataURL(blob);
    });
}
