import { Button, Stack, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, at } from '../api';
import { Trouble, Waiting } from '../shared/Notes';

/** The pieces that can be opened for a student, book by book. */
export function OpenPage({ studentId, open, done }: { studentId: number; open: number[]; done: () => void }) {
    const books = api.useQuery('get', '/books');
    const begin = useMutation({
        mutationFn: (pieceId: number) =>
            ask('post', '/students/{student}/learnings', { ...at({ student: studentId }), body: { pieceId } }),
        onSuccess: done,
    });
    if (books.isPending) return <Waiting what="Fetching the books…" />;
    if (books.error) return <Trouble error={books.error} />;
    return (
        <Stack gap="sm">
            <Trouble error={begin.error} />
            {books.data.length === 0 && (
                <Text>
                    There is no book yet. <Link to="/books">Add one first.</Link>
                </Text>
            )}
            {books.data.map((book) => (
                <div key={book.id}>
                    <Text fw={700}>{book.title}</Text>
                    {book.pages.flatMap((page) =>
                        page.pieces.map((piece) => (
                            <Button
                                key={piece.id}
                                variant="subtle"
                                c="var(--ink)"
                                fullWidth
                                justify="space-between"
                                disabled={open.includes(piece.id)}
                                onClick={() => begin.mutate(piece.id)}
                                rightSection={
                                    <span className="faint">
                                        {open.includes(piece.id) ? 'open already' : `p. ${page.number}${piece.label}`}
                                    </span>
                                }
                            >
                                {piece.title}
                            </Button>
                        )),
                    )}
                </div>
            ))}
        </Stack>
    );
}
