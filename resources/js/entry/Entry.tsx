import { Anchor, Button, FileButton, Group, Kbd, Stack, Text, Title } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { type Api, ask } from '../shared/api';
import { Trouble, Waiting } from '../shared/Notes';
import { Score } from '../shared/score/Score';
import { type Draft, dropDraft, keepDraft, offsetOf, readDraft } from './draft';
import { Grammar } from './Grammar';

type Piece = Api['PieceResource'];
type Preview = Api['PreviewResource'];
type Mistake = Api['ShorthandErrorResource'];

const BEGINNING = 'title: \ntime: 4/4\ntempo: \nR: @c4 \nL: @5=c3 \n';

export function Entry() {
    const params = useParams();
    const pieceId = params.piece === undefined ? null : Number(params.piece);
    const place = pieceId === null ? `page ${params.page}` : `piece ${pieceId}`;
    const piece = useQuery({
        queryKey: ['piece', pieceId],
        queryFn: () => ask<Piece>('GET', `/pieces/${pieceId}`),
        enabled: pieceId !== null,
        staleTime: Number.POSITIVE_INFINITY,
    });
    if (pieceId !== null && piece.isPending) return <Waiting what="Fetching the piece…" />;
    if (piece.error) return <Trouble error={piece.error} />;
    const saved = { text: piece.data?.shorthand ?? BEGINNING, label: piece.data?.label ?? '' };
    return (
        <Desk
            key={place}
            place={place}
            saved={saved}
            piece={piece.data ?? null}
            pageId={Number(params.page ?? piece.data?.pageId)}
        />
    );
}

interface Props {
    place: string;
    saved: Draft;
    piece: Piece | null;
    pageId: number;
}

/** The shorthand on the left, its engraving on the right as it is typed. */
function Desk({ place, saved, piece, pageId }: Props) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const area = useRef<HTMLTextAreaElement>(null);
    const [kept] = useState(() => readDraft(place));
    const [draft, setDraft] = useState<Draft>(kept ?? saved);
    const [text] = useDebouncedValue(draft.text, 120);
    const preview = useQuery({
        queryKey: ['shorthand', text],
        queryFn: ({ signal }) => ask<Preview>('POST', '/shorthand', { shorthand: text }, undefined, signal),
        placeholderData: (before) => before,
        staleTime: Number.POSITIVE_INFINITY,
    });
    const change = (next: Draft) => {
        setDraft(next);
        keepDraft(place, next);
    };
    const done = (stored: Piece) => {
        dropDraft(place);
        client.invalidateQueries({ queryKey: ['books'] });
        client.removeQueries({ queryKey: ['piece'] });
        navigate(`/pieces/${stored.id}`);
    };
    const save = useMutation({
        mutationFn: () =>
            ask<Piece>(
                piece === null ? 'POST' : 'PUT',
                piece === null ? `/pages/${pageId}/pieces` : `/pieces/${piece.id}`,
                {
                    shorthand: draft.text,
                    label: draft.label,
                },
            ),
        onSuccess: done,
    });
    const upload = useMutation({
        mutationFn: (file: File) => {
            const form = new FormData();
            form.append('file', file);
            form.append('label', draft.label);
            return ask<Piece>('POST', `/pages/${pageId}/pieces`, form);
        },
        onSuccess: done,
    });
    useEffect(() => area.current?.focus(), []);
    const pointAt = (mistake: Mistake) => {
        const from = offsetOf(draft.text, mistake.line, mistake.column);
        area.current?.focus();
        area.current?.setSelectionRange(from, from + mistake.length);
    };
    const errors = preview.data?.errors ?? [];
    const checks = preview.data?.checks ?? [];
    const music = preview.data?.music ?? null;
    return (
        <Stack gap="sm">
            <Group justify="space-between">
                <Title order={1} fz={26}>
                    {piece === null ? 'A new piece' : piece.title}
                </Title>
                <Group gap="xs">
                    {piece === null && (
                        <FileButton onChange={(file) => file && upload.mutate(file)} accept=".musicxml,.xml,.mxl">
                            {(props) => (
                                <Button {...props} variant="default" loading={upload.isPending}>
                                    From a MusicXML file
                                </Button>
                            )}
                        </FileButton>
                    )}
                    <Button
                        onClick={() => save.mutate()}
                        loading={save.isPending}
                        disabled={errors.length > 0 || music === null}
                    >
                        Save <Kbd ml={8}>Ctrl ⏎</Kbd>
                    </Button>
                </Group>
            </Group>
            <Trouble error={upload.error ?? save.error ?? preview.error} />
            <div
                style={{
                    display: 'grid',
                    gridTemplateColumns: 'minmax(20rem, 5fr) 7fr',
                    gap: '1rem',
                    alignItems: 'start',
                }}
            >
                <Stack gap="xs">
                    {kept !== null && kept.text !== saved.text && (
                        <Group gap="xs">
                            <Text size="sm">This is what you had typed before.</Text>
                            <Button
                                size="compact-sm"
                                variant="default"
                                onClick={() => {
                                    setDraft(saved);
                                    dropDraft(place);
                                }}
                            >
                                Begin again
                            </Button>
                        </Group>
                    )}
                    <div className="typed">
                        <textarea
                            ref={area}
                            aria-label="The piece in shorthand"
                            aria-describedby="typed-errors"
                            aria-invalid={errors.length > 0}
                            spellCheck={false}
                            value={draft.text}
                            onChange={(event) => change({ ...draft, text: event.currentTarget.value })}
                            onKeyDown={(event) => {
                                if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && errors.length === 0)
                                    save.mutate();
                            }}
                        />
                    </div>
                    <div id="typed-errors" aria-live="polite">
                        {errors.map((mistake) => (
                            <button
                                key={`${mistake.line} ${mistake.column} ${mistake.text}`}
                                type="button"
                                className="finding"
                                onClick={() => pointAt(mistake)}
                            >
                                <b className="thorn">
                                    Line {mistake.line}, column {mistake.column}:
                                </b>{' '}
                                {mistake.text}
                            </button>
                        ))}
                        {checks.map((check) => (
                            <Text key={check.place + check.code + check.hand} size="sm" px={8} py={3}>
                                <b>{check.place}</b> {check.text}
                            </Text>
                        ))}
                    </div>
                    <Grammar />
                </Stack>
                <div className="sheet" style={{ minHeight: '20rem' }}>
                    {music === null ? (
                        <Text className="faint">The music grows here as you type.</Text>
                    ) : (
                        <Score music={music} title={`The engraving, ${preview.data?.measures} bars`} scale={40} />
                    )}
                </div>
            </div>
            <Text size="sm" className="faint">
                <Anchor component={Link} to="/books" c="inherit">
                    Back to the books
                </Anchor>
                . What you typed is kept here.
            </Text>
        </Stack>
    );
}
