import { Button, Checkbox, Group, Stack, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { type Api, api, ask, at } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';

type Body = Api['LearningRequest'];

interface Line {
    key: string;
    title: string;
    page: string;
    body: Body;
    isOpen: boolean;
}

interface Props {
    studentId: number;
    /** Pieces that are open already. */
    open: number[];
    /** Books that the student is in; they stand first. */
    books: number[];
    done: () => void;
}

/** The pages that can be opened for a student, book by book; several at once, with music typed or without. */
export function OpenPage({ studentId, open, books: own, done }: Props) {
    const books = api.useQuery('get', '/books');
    const { chosen, choose, begin } = useChosen(studentId, done);
    if (books.isPending) return <Waiting what={t('Fetching the books…')} />;
    if (books.error) return <Trouble error={books.error} />;
    const ordered = [...books.data].sort((a, b) => Number(own.includes(b.id)) - Number(own.includes(a.id)));
    const submit = (event: FormEvent) => {
        event.preventDefault();
        if (chosen.size > 0 && !begin.isPending) begin.mutate();
    };
    const lines = ordered.map((book) => linesOf(book, open));
    const first = nextOf(lines[0] ?? [])?.key;
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <Trouble error={begin.error} />
            {ordered.length === 0 && (
                <Text>
                    {t('There is no book yet.')} <Link to="/books">{t('Add one first.')}</Link>
                </Text>
            )}
            {ordered.map((book, i) => (
                <fieldset key={book.id} className="plain-list">
                    <Text component="legend" fw={700}>
                        {book.title}
                    </Text>
                    <Stack gap={4}>
                        {lines[i]?.map((line) => (
                            <Checkbox
                                key={line.key}
                                // For the dialog where the books are here already, and else for when they come.
                                data-autofocus={line.key === first || undefined}
                                autoFocus={line.key === first}
                                disabled={line.isOpen}
                                checked={line.isOpen || chosen.has(line.key)}
                                onChange={(event) => choose(line, event.currentTarget.checked)}
                                label={`${line.title}, ${line.page}${line.isOpen ? t(', open already') : ''}`}
                            />
                        ))}
                    </Stack>
                </fieldset>
            ))}
            <Group>
                <Button type="submit" disabled={chosen.size === 0} loading={begin.isPending}>
                    {chosen.size > 1 ? t('Open {{size}} pages', { size: chosen.size }) : t('Open')}
                </Button>
            </Group>
        </Stack>
    );
}

/** The lines that are ticked, and opening them one after the other. */
function useChosen(studentId: number, done: () => void) {
    const [chosen, setChosen] = useState<Map<string, Body>>(new Map());
    const begin = useMutation({
        mutationFn: async () => {
            for (const body of chosen.values()) {
                await ask('post', '/students/{student}/learnings', { ...at({ student: studentId }), body });
            }
        },
        onSuccess: done,
    });
    const choose = (line: Line, yes: boolean) =>
        setChosen((before) => {
            const next = new Map(before);
            if (yes) next.set(line.key, line.body);
            else next.delete(line.key);
            return next;
        });
    return { chosen, choose, begin };
}

/** What follows the last one that is open: Space and Enter open it. */
function nextOf(lines: Line[]): Line | undefined {
    return lines[lines.findLastIndex((line) => line.isOpen) + 1];
}

/** Each piece of a book, and each page that has none. */
function linesOf(book: Api['BookResource'], open: number[]): Line[] {
    return book.pages.flatMap((page): Line[] =>
        page.pieces.length === 0
            ? [
                  {
                      key: `page ${page.id}`,
                      title: page.title || t('Page {{number}}', { number: page.number }),
                      page: page.kind === 'pieces' ? t('no music typed yet') : page.kind,
                      body: { pageId: page.id },
                      isOpen: false,
                  },
              ]
            : page.pieces.map((piece) => ({
                  key: `piece ${piece.id}`,
                  title: piece.title,
                  page: `p. ${page.number}${piece.label}`,
                  body: { pieceId: piece.id },
                  isOpen: open.includes(piece.id),
              })),
    );
}
