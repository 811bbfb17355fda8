import { Button, FileButton, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, asForm, ask, keyOf } from '../api';
import { useKeys } from '../shared/keys';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { useTeaches } from '../shared/Shell';
import { t } from '../text';
import { type Asked, aNewBook } from './asked';
import { BookDialog } from './BookDialog';
import styles from './Books.module.css';
import { BookVine } from './BookVine';

export function Books() {
    const [dialog, setDialog] = useState<Asked | null>(null);
    const books = api.useQuery('get', '/books');
    const client = useQueryClient();
    const archive = useMutation({
        mutationFn: (file: File) => ask('post', '/books/archive', { body: { file }, ...asForm }),
        onSuccess: () => client.invalidateQueries({ queryKey: keyOf('/books') }),
    });
    const isTeacher = useTeaches();
    const addBook = () => isTeacher && setDialog(aNewBook());
    useKeys([{ key: 'a', does: t('add a book'), run: addBook }]);
    if (books.isPending) return <Waiting what={t('Fetching the books…')} />;
    if (books.error) return <Trouble error={books.error} again={() => books.refetch()} />;
    return (
        <Stack>
            <Group justify="space-between">
                <Title order={1} fz={28}>
                    {t('Books')}
                </Title>
                {isTeacher && (
                    <Group gap="xs">
                        <FileButton onChange={(file) => file && archive.mutate(file)} accept=".zip">
                            {(props) => (
                                <Button {...props} variant="default" loading={archive.isPending}>
                                    {t('From an archive')}
                                </Button>
                            )}
                        </FileButton>
                        <Button variant="default" component={Link} to="/worksheets">
                            {t('Worksheets')}
                        </Button>
                        <Button onClick={addBook}>{t('Add a book (a)')}</Button>
                    </Group>
                )}
            </Group>
            <Trouble error={archive.error} />
            {books.data.length === 0 && (
                <Empty part title={t('No books yet')}>
                    <Text>{t('Add the book a student plays from, then its pages as you come to them.')}</Text>
                </Empty>
            )}
            <div className={styles.books}>
                {books.data.map((book) => (
                    <BookVine key={book.id} book={book} ask={isTeacher ? setDialog : null} />
                ))}
            </div>
            {dialog !== null && <BookDialog dialog={dialog} close={() => setDialog(null)} />}
        </Stack>
    );
}
