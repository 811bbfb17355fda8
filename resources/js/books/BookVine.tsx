import { Anchor, Button, Group, Menu, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Api } from '../api';
import { t } from '../text';
import { type Asked, aNewPage, bookChanged, bookRemoved, pageChanged, pageRemoved } from './asked';
import styles from './BookVine.module.css';
import { ContentsDialog } from './ContentsDialog';

type Book = Api['BookResource'];
type Page = Api['PageResource'];

interface Props {
    book: Book;
    /** Changes the book; null for whoever only looks at it. */
    ask: ((dialog: Asked) => void) | null;
}

/** A book as a vine with its pages in order. */
export function BookVine({ book, ask }: Props) {
    const [contents, setContents] = useState(false);
    return (
        <section className="sheet" aria-label={book.title}>
            <Group justify="space-between" wrap="nowrap">
                <div>
                    <Title order={2} fz="xl">
                        {book.title}
                    </Title>
                    <Text size="sm" className="faint">
                        {book.level}
                    </Text>
                </div>
                {ask !== null && (
                    <Group gap={6} wrap="nowrap">
                        <Button size="compact-sm" variant="light" onClick={() => ask(aNewPage(book))}>
                            {t('Add a page')}
                        </Button>
                        <More book={book} ask={ask} bringIn={() => setContents(true)} />
                    </Group>
                )}
            </Group>
            {contents && <ContentsDialog book={book} close={() => setContents(false)} />}
            {book.pages.length === 0 && <Text className="faint">{t('No pages yet.')}</Text>}
            <ol className={`plain-list ${styles.pages}`}>
                {book.pages.map((page) => (
                    <PageRow key={page.id} page={page} ask={ask} />
                ))}
            </ol>
        </section>
    );
}

interface MoreProps {
    book: Book;
    ask: (dialog: Asked) => void;
    bringIn: () => void;
}

function More({ book, ask, bringIn }: MoreProps) {
    return (
        <Menu>
            <Menu.Target>
                <Button size="compact-sm" variant="default" aria-label={t('More for {{title}}', { title: book.title })}>
                    …
                </Button>
            </Menu.Target>
            <Menu.Dropdown>
                <Menu.Item onClick={() => ask(bookChanged(book))}>{t('Change the title')}</Menu.Item>
                <Menu.Item onClick={bringIn}>{t('Bring in its table of contents')}</Menu.Item>
                <Menu.Item component="a" href={`/api/books/${book.id}/contents`} download>
                    {t('Table of contents as CSV')}
                </Menu.Item>
                <Menu.Item component="a" href={`/api/books/${book.id}/archive`} download>
                    {t('The whole book as an archive')}
                </Menu.Item>
                <Menu.Divider />
                <Menu.Item c="var(--thorn)" onClick={() => ask(bookRemoved(book))}>
                    {t('Remove')}
                </Menu.Item>
            </Menu.Dropdown>
        </Menu>
    );
}

function PageRow({ page, ask }: { page: Page; ask: Props['ask'] }) {
    const small = { size: 'compact-sm', variant: 'subtle' } as const;
    return (
        <li className={styles.page}>
            <span aria-hidden="true" className={styles.number}>
                {page.number}
            </span>
            <Group justify="space-between" wrap="nowrap" align="flex-start">
                <OnPage page={page} />
                {ask !== null && (
                    <Group gap={4} wrap="nowrap">
                        {(page.kind === 'pieces' || page.kind === 'duet') && (
                            <Button
                                {...small}
                                component={Link}
                                to={`/pages/${page.id}/entry`}
                                c="var(--ink)"
                                aria-label={t('Add a piece to page {{number}}', { number: page.number })}
                            >
                                {t('Add a piece')}
                            </Button>
                        )}
                        {(page.kind === 'pieces' || page.kind === 'duet') && (
                            <Button
                                {...small}
                                component={Link}
                                to={`/pages/${page.id}/photo`}
                                c="var(--ink)"
                                aria-label={t('Photo of page {{number}}', { number: page.number })}
                            >
                                {t('Photo')}
                            </Button>
                        )}
                        <Button
                            {...small}
                            c="var(--ink)"
                            aria-label={t('Change page {{number}}', { number: page.number })}
                            onClick={() => ask(pageChanged(page))}
                        >
                            {t('Change')}
                        </Button>
                        <Button
                            {...small}
                            c="var(--thorn)"
                            aria-label={t('Remove page {{number}}', { number: page.number })}
                            onClick={() => ask(pageRemoved(page))}
                        >
                            {t('Remove')}
                        </Button>
                    </Group>
                )}
            </Group>
        </li>
    );
}

function OnPage({ page }: { page: Page }) {
    return (
        <div>
            <span className={`faint ${styles.about}`}>
                {t('Page {{number}}', { number: page.number })}
                {page.kind !== 'pieces' && `, ${page.kind}`}
                {page.introduces && `: ${page.introduces}`}
            </span>
            {page.title !== '' && !page.pieces.some((piece) => piece.title === page.title) && <div>{page.title}</div>}
            {page.pieces.map((piece) => (
                <div key={piece.id}>
                    <Anchor component={Link} to={`/pieces/${piece.id}`} c="var(--ink)" fw={700}>
                        {piece.label && `${piece.label}. `}
                        {piece.title}
                    </Anchor>{' '}
                    {piece.measures > 0 ? (
                        <span className="faint">{t('{{measures}} bars', { measures: piece.measures })}</span>
                    ) : (
                        <span className="faint">
                            {t('no music typed yet,')}{' '}
                            <Anchor component={Link} to={`/pieces/${piece.id}/entry`} c="var(--ink)">
                                {t('add it')}
                            </Anchor>
                        </span>
                    )}
                </div>
            ))}
        </div>
    );
}
