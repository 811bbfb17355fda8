import { Button, Group, Select, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type Api, api, ask, at, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';

interface Props {
    studentId: number;
    books: Api['StudentBookResource'][];
    open: (body: Api['LearningRequest']) => void;
}

/** The books that a student is in, and where: what comes next is taken from these alone. */
export function StudentBooks({ studentId, books, open }: Props) {
    const client = useQueryClient();
    const all = api.useQuery('get', '/books');
    const place = (book: number) => at({ student: studentId, book });
    const fresh = () =>
        client.invalidateQueries({ queryKey: keyOf('/students/{student}', at({ student: studentId })) });
    const enter = useMutation({
        mutationFn: (book: number) => ask('put', '/students/{student}/books/{book}', place(book)),
        onSuccess: fresh,
    });
    const leave = useMutation({
        mutationFn: (book: number) => ask('delete', '/students/{student}/books/{book}', place(book)),
        onSuccess: fresh,
    });
    const others = (all.data ?? []).filter((book) => !books.some((own) => own.bookId === book.id));
    return (
        <section className="sheet" aria-label={t('Books')}>
            <Title order={2} fz="lg" mb={6}>
                {t('Books')}
            </Title>
            <ul className="plain-list">
                {books.map((book) => (
                    <BookLine key={book.bookId} book={book} open={open} leave={() => leave.mutate(book.bookId)} />
                ))}
            </ul>
            {books.length === 0 && <Text className="faint">{t('In no book yet.')}</Text>}
            <Trouble error={enter.error ?? leave.error} />
            {others.length > 0 && (
                <Select
                    maw={320}
                    mt="xs"
                    aria-label={t('Into another book')}
                    placeholder={t('into another book')}
                    searchable
                    inputMode="search"
                    value={null}
                    onChange={(book) => book !== null && enter.mutate(Number(book))}
                    data={others.map((book) => ({ value: String(book.id), label: book.title }))}
                />
            )}
        </section>
    );
}

interface LineProps {
    book: Api['StudentBookResource'];
    open: Props['open'];
    leave: () => void;
}

/** A book, how far it has come, and what is next in it. */
function BookLine({ book: { title, at: reached, next }, open, leave }: LineProps) {
    return (
        <li>
            <Group gap="sm" justify="space-between" py={4}>
                <div>
                    <Text fw={700}>{title}</Text>
                    <Text size="sm" className="faint">
                        {reached === null ? t('not begun') : t('as far as {{reached}}', { reached })}
                        {next === null && reached !== null && t(', its end')}
                    </Text>
                </div>
                <Group gap="xs">
                    {next !== null && (
                        <Button
                            size="compact-sm"
                            variant="default"
                            onClick={() =>
                                open(next.pieceId === null ? { pageId: next.pageId } : { pieceId: next.pieceId })
                            }
                        >
                            {t('Open {{title}}', { title: next.title })}
                        </Button>
                    )}
                    <Button
                        size="compact-sm"
                        variant="subtle"
                        c="var(--ink)"
                        aria-label={t('No longer in {{title}}', { title })}
                        onClick={leave}
                    >
                        {t('no longer')}
                    </Button>
                </Group>
            </Group>
        </li>
    );
}
