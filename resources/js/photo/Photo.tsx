import { Anchor, Button, FileButton, Group, NumberInput, Stack, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { type DragEvent, type ReactNode, type RefObject, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../api';
import { useKeys } from '../shared/keys';
import { pageIn } from '../shared/pages';
import { t } from '../text';
import { KeptPhotos } from './KeptPhotos';
import styles from './Look.module.css';
import { PhoneCode } from './PhoneCode';
import { PhotoList } from './PhotoList';
import { PICTURES } from './picture';
import { SendTrouble } from './SendTrouble';
import { usePhotos } from './usePhotos';
import { Webcam } from './Webcam';

/** A picture of a page is taken in: from a file, by the camera of this device, or by a phone. */
export function Photo() {
    const page = Number(useParams().page);
    const navigate = useNavigate();
    const { list, send, stop } = usePhotos(page);
    const books = api.useQuery('get', '/books');
    const where = pageIn(books.data ?? [], page);
    const [by, setBy] = useState<'camera' | 'phone' | null>(null);
    const [pdf, setPdf] = useState<File | null>(null);
    const openFiles = useRef<() => void>(null);
    const take = (files: Blob[], pdfPage = 1) => {
        if (files.length === 0) return;
        send.mutate(
            { files, pdfPage },
            { onSuccess: ([only, ...more]) => only && more.length === 0 && navigate(`/photos/${only.id}`) },
        );
    };
    const given = (files: File[]) => {
        const [first] = files;
        if (files.length === 1 && first?.type === 'application/pdf') setPdf(first);
        else take(files);
    };
    useKeys([
        { key: 'f', does: t('choose a picture'), run: () => openFiles.current?.() },
        { key: 'c', does: t('the camera of this device'), run: () => setBy('camera') },
        { key: 'h', does: t('a phone'), run: () => setBy('phone') },
    ]);
    return (
        <Stack gap="md">
            <Head page={page} where={where} />
            <Drop onFiles={given}>
                <Ways given={given} sending={send.isPending} setBy={setBy} openFiles={openFiles} />
                <Text size="sm" className="faint" mt="sm">
                    {t(
                        'Or drop pictures here: JPEG, PNG or a PDF. Several go to this page and the ones after it. A page that is printed can be read; handwriting cannot.',
                    )}
                </Text>
            </Drop>
            {pdf !== null && (
                <PdfPage
                    name={pdf.name}
                    onRead={(number) => {
                        setPdf(null);
                        take([pdf], number);
                    }}
                    onClose={() => setPdf(null)}
                />
            )}
            <SendTrouble error={send.error} />
            <PhotoList list={list} stop={stop} />
            <KeptPhotos page={page} />
            <Figures />
            {by === 'camera' && <Webcam onTaken={(blob) => take([blob])} onClose={() => setBy(null)} />}
            {by === 'phone' && <PhoneCode page={page} onClose={() => setBy(null)} />}
        </Stack>
    );
}

interface WaysProps {
    given: (files: File[]) => void;
    sending: boolean;
    setBy: (by: 'camera' | 'phone') => void;
    openFiles: RefObject<(() => void) | null>;
}

function Ways({ given, sending, setBy, openFiles }: WaysProps) {
    return (
        <Group justify="center">
            <FileButton multiple accept={PICTURES} onChange={given}>
                {(props) => {
                    openFiles.current = props.onClick;
                    return (
                        <Button {...props} loading={sending}>
                            {t('Choose a picture')} <kbd className={styles.key}>f</kbd>
                        </Button>
                    );
                }}
            </FileButton>
            <Button variant="default" onClick={() => setBy('camera')}>
                {t('Camera of this device')} <kbd className={styles.key}>c</kbd>
            </Button>
            <Button variant="default" onClick={() => setBy('phone')}>
                {t('Take it with a phone')} <kbd className={styles.key}>h</kbd>
            </Button>
        </Group>
    );
}

function Head({ page, where }: { page: number; where: ReturnType<typeof pageIn> }) {
    return (
        <div>
            <Title order={1} fz={24}>
                {t('A page from a photo')}
            </Title>
            <Text size="sm" className="faint">
                <Anchor component={Link} to="/books" c="inherit" fz="sm">
                    {where === null ? t('Books') : `${where.book.title}, p. ${where.page.number}`}
                </Anchor>
                {' · '}
                <Anchor component={Link} to={`/pages/${page}/entry`} c="inherit" fz="sm">
                    {t('Type it instead')}
                </Anchor>
            </Text>
        </div>
    );
}

function Drop({ onFiles, children }: { onFiles: (files: File[]) => void; children: ReactNode }) {
    const [over, setOver] = useState(false);
    const onDrop = (event: DragEvent) => {
        event.preventDefault();
        setOver(false);
        onFiles([...event.dataTransfer.files]);
    };
    return (
        // biome-ignore lint/a11y/noStaticElementInteractions: the buttons in it are the way by keys
        <div
            className={styles.drop}
            data-over={over ? 'yes' : undefined}
            onDragOver={(event) => {
                event.preventDefault();
                setOver(true);
            }}
            onDragLeave={() => setOver(false)}
            onDrop={onDrop}
        >
            {children}
        </div>
    );
}

function PdfPage({ name, onRead, onClose }: { name: string; onRead: (page: number) => void; onClose: () => void }) {
    const [number, setNumber] = useState<number | string>(1);
    return (
        <Group align="flex-end" className="sheet">
            <NumberInput
                label={t('Which page of {{name}}?', { name })}
                min={1}
                max={2000}
                w={220}
                value={number}
                onChange={setNumber}
                data-autofocus
            />
            <Button onClick={() => onRead(Number(number) || 1)}>{t('Read this page')}</Button>
            <Button variant="default" onClick={onClose}>
                {t('Cancel')}
            </Button>
        </Group>
    );
}

/** How well pages were read so far, by what was corrected. */
function Figures() {
    const { data } = useQuery(api.queryOptions('get', '/photo-figures'));
    if (data === undefined || data.pages === 0 || data.notes === 0) return null;
    const share = Math.floor((100 * data.right) / data.notes);
    return (
        <Text size="sm" className="faint">
            {data.pages === 1
                ? t('Read so far: 1 page, {{share}} of 100 notes right as they were read.', { share })
                : t('Read so far: {{pages}} pages, {{share}} of 100 notes right as they were read.', {
                      pages: data.pages,
                      share,
                  })}
        </Text>
    );
}
