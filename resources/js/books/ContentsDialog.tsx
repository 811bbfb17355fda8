import { Button, FileButton, Group, Stack, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type Api, asForm, ask, at, keyOf, wordsOf } from '../api';
import { Dialog } from '../shared/Dialog';
import styles from './ContentsDialog.module.css';

type Book = Api['BookResource'];

const EXAMPLE =
    'page,title,kind,introduces\n4,Two Snails,pieces,middle C\n9,Lines and spaces,theory,\n12,Owl and Mole,duet,echo';

/** Brings in a book's table of contents: all of it, or none when a row is wrong. */
export function ContentsDialog({ book, close }: { book: Book; close: () => void }) {
    const client = useQueryClient();
    const bring = useMutation({
        mutationFn: (file: File) =>
            ask('post', '/books/{book}/contents', { ...at({ book: book.id }), body: { file }, ...asForm }),
        onSuccess: () => client.invalidateQueries({ queryKey: keyOf('/books') }),
    });
    return (
        <Dialog title={`The table of contents of ${book.title}`} size="lg" onClose={close}>
            <Stack gap="sm">
                <Text size="sm">
                    A table with a row for each page, as a spreadsheet saves it (CSV). Pages that are here already are
                    brought up to date; their pieces stay.
                </Text>
                <pre className={`sheet ${styles.example}`}>{EXAMPLE}</pre>
                {bring.error != null && (
                    <div role="alert">
                        <Text fw={700}>Nothing was brought in.</Text>
                        <ul className={styles.errors}>
                            {wordsOf(bring.error).map((text) => (
                                <li key={text}>{text}</li>
                            ))}
                        </ul>
                    </div>
                )}
                {bring.data !== undefined && (
                    <Text role="status">
                        The book has {bring.data.pages.length} {bring.data.pages.length === 1 ? 'page' : 'pages'} now.
                    </Text>
                )}
                <Group>
                    <FileButton onChange={(file) => file && bring.mutate(file)} accept=".csv,.tsv,.txt">
                        {(props) => (
                            <Button {...props} loading={bring.isPending} data-autofocus>
                                Choose the file
                            </Button>
                        )}
                    </FileButton>
                    <Button variant="default" onClick={close}>
                        {bring.data === undefined ? 'Cancel' : 'Done'}
                    </Button>
                </Group>
            </Stack>
        </Dialog>
    );
}
