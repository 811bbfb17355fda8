import { Button, FileButton, Group, Stack, Text, Textarea } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, asForm, ask, at, keyOf, wordsOf } from '../api';
import { Dialog } from '../shared/Dialog';
import { t } from '../text';
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
    const [pasted, setPasted] = useState('');
    return (
        <Dialog title={t('The table of contents of {{title}}', { title: book.title })} size="lg" onClose={close}>
            <Stack gap="sm">
                <Text size="sm">
                    {t(
                        'A table with a row for each page: paste it from a spreadsheet, or choose a file (CSV). Pages that are here already are brought up to date; their pieces stay.',
                    )}
                </Text>
                <pre className={`sheet ${styles.example}`}>{EXAMPLE}</pre>
                {bring.error != null && <WhyNot error={bring.error} />}
                {bring.data !== undefined && (
                    <Text role="status">
                        {bring.data.pages.length === 1
                            ? t('The book has {{pages}} page now.', { pages: bring.data.pages.length })
                            : t('The book has {{pages}} pages now.', { pages: bring.data.pages.length })}
                    </Text>
                )}
                <Textarea
                    label={t('The table')}
                    autosize
                    minRows={3}
                    maxRows={10}
                    value={pasted}
                    onChange={(event) => setPasted(event.currentTarget.value)}
                    data-autofocus
                />
                <Group>
                    <Button
                        disabled={pasted.trim() === ''}
                        loading={bring.isPending}
                        onClick={() => bring.mutate(new File([pasted], 'pasted.csv', { type: 'text/csv' }))}
                    >
                        {t('Bring it in')}
                    </Button>
                    <FileButton onChange={(file) => file && bring.mutate(file)} accept=".csv,.tsv,.txt">
                        {(props) => (
                            <Button {...props} variant="default" loading={bring.isPending}>
                                {t('Choose a file')}
                            </Button>
                        )}
                    </FileButton>
                    <Button variant="default" onClick={close}>
                        {bring.data === undefined ? t('Cancel') : t('Done')}
                    </Button>
                </Group>
            </Stack>
        </Dialog>
    );
}

/** What is wrong, row by row. */
function WhyNot({ error }: { error: unknown }) {
    return (
        <div role="alert">
            <Text fw={700}>{t('Nothing was brought in.')}</Text>
            <ul className={styles.errors}>
                {wordsOf(error).map((text) => (
                    <li key={text}>{text}</li>
                ))}
            </ul>
        </div>
    );
}
