import { Button, Group, Stack, Text } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { Dialog } from '../shared/Dialog';
import { whyNot } from '../shared/device';
import { Waiting } from '../shared/Notes';
import { t } from '../text';
import styles from './Look.module.css';
import { drawnAs } from './picture';

const WHY = {
    refused: t('The browser was told not to use the camera. Allow it in its settings, or choose a picture.'),
    none: t('No camera was found. Choose a picture, or take it with a phone.'),
    failed: t('The camera cannot be used now. Is another program using it?'),
};

function closed(stream: MediaStream | null): void {
    for (const track of stream?.getTracks() ?? []) track.stop();
}

/** The camera of this device, held over the page. */
export function Webcam({ onTaken, onClose }: { onTaken: (picture: Blob) => void; onClose: () => void }) {
    const video = useRef<HTMLVideoElement>(null);
    const [state, setState] = useState<'opening' | 'open' | keyof typeof WHY>('opening');
    useEffect(() => {
        let stream: MediaStream | null = null;
        let over = false;
        const open = async () => {
            try {
                stream = await navigator.mediaDevices.getUserMedia({
                    video: { facingMode: 'environment', width: { ideal: 4096 }, height: { ideal: 3072 } },
                });
                if (over || video.current === null) return closed(stream);
                video.current.srcObject = stream;
                await video.current.play();
                setState('open');
            } catch (reason) {
                if (!over) setState(whyNot(reason));
            }
        };
        void open();
        return () => {
            over = true;
            closed(stream);
        };
    }, []);
    const take = async () => {
        const seen = video.current;
        if (seen === null || seen.videoWidth === 0) return;
        onTaken(await drawnAs(seen, seen.videoWidth, seen.videoHeight));
        onClose();
    };
    // A made-up page, for trying it without a camera.
    const standIn = async () => {
        onTaken(await (await fetch('/stand-in/page.jpg')).blob());
        onClose();
    };
    const isWrong = state !== 'opening' && state !== 'open';
    return (
        <Dialog title={t('Camera of this device')} size="52rem" onClose={onClose}>
            <Stack gap="sm">
                {isWrong && <Text role="alert">{WHY[state]}</Text>}
                {state === 'opening' && <Waiting what={t('Opening the camera…')} />}
                <video ref={video} className={styles.video} playsInline muted hidden={isWrong} />
                <Text size="sm" className="faint">
                    {t('Hold it flat above the page, near enough that the page fills the picture, without a shadow.')}
                </Text>
                <Group>
                    <Button onClick={take} disabled={state !== 'open'} data-autofocus>
                        {t('Take the picture')}
                    </Button>
                    <Button variant="default" onClick={standIn}>
                        {t('Use the stand-in camera')}
                    </Button>
                    <Button variant="default" onClick={onClose}>
                        {t('Cancel')}
                    </Button>
                </Group>
            </Stack>
        </Dialog>
    );
}
