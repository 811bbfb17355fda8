import { Anchor, Button, Group, Menu, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, ask, at } from '../api';
import type { Asked } from './asked';
import { ContentsDialog } from './ContentsDialog';

type Book = Api['BookResource'];
type Page = Api['PageResource'];

/** A book as a vine with its pages in order. */
export function BookVine({ book, ask: open }: { book: Book; ask: (dialog: Asked) => void }) {
    const [contents, setContents] = useState(false);
    const next = Math.max(0, ...book.pages.map((page) => page.number)) + 1;
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
                <Group gap={6} wrap="nowrap">
                    <Button
                        size="compact-sm"
                        variant="light"
                        onClick={() =>
                            open({
                                title: `A page of ${book.title}`,
                                what: 'page',
                                send: (body) => ask('post', '/books/{book}/pages', { ...at({ book: book.id }), body }),
                                start: { number: next, title: '', kind: 'pieces', introduces: '' },
                            })
                        }
                    >
                        Add a page
                    </Button>
                    <Menu>
                        <Menu.Target>
                            <Button size="compact-sm" variant="default" aria-label={`More for ${book.title}`}>
                                …
                            </Button>
                        </Menu.Target>
                        <Menu.Dropdown>
                            <Menu.Item
                                onClick={() =>
                                    open({
                                        title: 'Change the book',
                                        what: 'book',
                                        send: (body) => ask('put', '/books/{book}', { ...at({ book: book.id }), body }),
                                        start: { title: book.title, level: book.level },
                                    })
                                }
                            >
                                Change the title
                            </Menu.Item>
                            <Menu.Item onClick={() => setContents(true)}>Bring in its table of contents</Menu.Item>
                            <Menu.Item component="a" href={`/api/books/${book.id}/contents`} download>
                                Table of contents as CSV
                            </Menu.Item>
                            <Menu.Item component="a" href={`/api/books/${book.id}/archive`} download>
                                The whole book as an archive
                            </Menu.Item>
                            <Menu.Divider />
                            <Menu.Item
                                c="var(--thorn)"
                                onClick={() =>
                                    open({
                                        title: `Remove ${book.title}, with its pages and what students did on them?`,
                                        what: 'remove',
                                        send: () => ask('delete', '/books/{book}', at({ book: book.id })),
                                        start: {},
                                    })
                                }
                            >
                                Remove
                            </Menu.Item>
                        </Menu.Dropdown>
                    </Menu>
                </Group>
            </Group>
            {contents && <ContentsDialog book={book} close={() => setContents(false)} />}
            {book.pages.length === 0 && <Text className="faint">No pages yet.</Text>}
            <ol
                className="plain-list"
                style={{ borderLeft: '3px solid var(--leaf)', marginTop: '0.8rem', marginLeft: '1.4rem' }}
            >
                {book.pages.map((page) => (
                    <PageRow key={page.id} page={page} open={open} />
                ))}
            </ol>
        </section>
    );
}

function PageRow({ page, open }: { page: Page; open: (dialog: Asked) => void }) {
    return (
        <li style={{ position: 'relative', padding: '0.35rem 0 0.35rem 1.9rem' }}>
            <span
                aria-hidden="true"
                style={{
                    position: 'absolute',
                    left: '-1.25rem',
                    top: '0.25rem',
                    width: '2.2rem',
                    height: '2.2rem',
                    borderRadius: '50% 50% 50% 6px',
                    background: 'var(--leaf-soft)',
                    border: '2px solid var(--leaf)',
                    display: 'grid',
                    placeItems: 'center',
                    fontWeight: 700,
                    fontSize: '0.85rem',
                }}
            >
                {page.number}
            </span>
            <Group justify="space-between" wrap="nowrap" align="flex-start">
                <div>
                    <span className="faint" style={{ fontSize: '0.85rem' }}>
                        Page {page.number}
                        {page.kind !== 'pieces' && `, ${page.kind}`}
                        {page.introduces && `: ${page.introduces}`}
                    </span>
                    {page.title !== '' && !page.pieces.some((piece) => piece.title === page.title) && (
                        <div>{page.title}</div>
                    )}
                    {page.pieces.map((piece) => (
                        <div key={piece.id}>
                            <Anchor component={Link} to={`/pieces/${piece.id}`} c="var(--ink)" fw={700}>
                                {piece.label && `${piece.label}. `}
                                {piece.title}
                            </Anchor>{' '}
                            <span className="faint">{piece.measures} bars</span>
                        </div>
                    ))}
                </div>
                <Group gap={4} wrap="nowrap">
                    {(page.kind === 'pieces' || page.kind === 'duet') && (
                        <Button
                            component={Link}
                            to={`/pages/${page.id}/entry`}
                            size="compact-sm"
                            variant="subtle"
                            c="var(--ink)"
                            aria-label={`Add a piece to page ${page.number}`}
                        >
                            Add a piece
                        </Button>
                    )}
                    <Button
                        size="compact-sm"
                        variant="subtle"
                        c="var(--ink)"
                        aria-label={`Change page ${page.number}`}
                        onClick={() =>
                            open({
                                title: `Page ${page.number}`,
                                what: 'page',
                                send: (body) => ask('put', '/pages/{page}', { ...at({ page: page.id }), body }),
                                start: {
                                    number: page.number,
                                    title: page.title,
                                    kind: page.kind,
                                    introduces: page.introduces,
                                },
                            })
                        }
                    >
                        Change
                    </Button>
                    <Button
                        size="compact-sm"
                        variant="subtle"
                        c="var(--thorn)"
                        aria-label={`Remove page ${page.number}`}
                        onClick={() =>
                            open({
                                title: `Remove page ${page.number}, with its pieces?`,
                                what: 'remove',
                                send: () => ask('delete', '/pages/{page}', at({ page: page.id })),
                                start: {},
                            })
                        }
                    >
                        Remove
                    </Button>
                </Group>
            </Group>
        </li>
    );
}
