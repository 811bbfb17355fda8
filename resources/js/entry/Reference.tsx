import { Stack, Table, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { marked, type Token, type Tokens } from 'marked';
import { Fragment, type ReactNode, useMemo } from 'react';
import reference from '../../../docs/shorthand.md?raw';
import { type Api, ask } from '../api';
import { useSession } from '../shared/Shell';
import { Score } from '../shared/score/Score';
import { t } from '../text';
import styles from './EntryDesk.module.css';
import referenceStyles from './Reference.module.css';

/** What the reference calls lengths, in British words. */
const BRITISH: [string, string][] = [
    [
        'whole, half, quarter, eighth, sixteenth, thirty-second',
        'semibreve, minim, crotchet, quaver, semiquaver, demisemiquaver',
    ],
    ['is a sixteenth', 'is a semiquaver'],
    ['four quarters', 'four crotchets'],
    ['quarter notes', 'crotchets'],
];

const measures = (text: string) =>
    text.replace(/\b(b)ar(s?)\b(?! line)/gi, (_, b, s) => `${b === 'B' ? 'Measure' : 'measure'}${s}`);

/** The reference is written with bars and quarters. What stands in backquotes is typed as it is. */
function said(words: Api['NoteWords']): string {
    return words === 'uk'
        ? BRITISH.reduce((text, [us, uk]) => text.replaceAll(us, uk), reference)
        : reference
              .split('`')
              .map((part, i) => (i % 2 === 0 ? measures(part) : part))
              .join('`');
}

/** The whole shorthand on one page, the same as in the documentation, with its examples engraved. */
export function Reference() {
    const words = useSession().data?.studio.words ?? 'us';
    const tokens = useMemo(() => marked.lexer(said(words)), [words]);
    return (
        <Stack gap="sm" maw={980} mx="auto">
            {tokens.map((token, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: the page does not change
                <Block key={i} token={token} />
            ))}
        </Stack>
    );
}

function Block({ token }: { token: Token }): ReactNode {
    switch (token.type) {
        case 'heading':
            return (
                <Title order={token.depth as 1 | 2} fz={token.depth === 1 ? 28 : 20}>
                    {token.text}
                </Title>
            );
        case 'paragraph':
            return <p className={referenceStyles.words}>{inline(token.tokens ?? [])}</p>;
        case 'code':
            return <Example text={token.text} />;
        case 'table':
            return <Rows table={token as Tokens.Table} />;
        default:
            return null;
    }
}

function Rows({ table }: { table: Tokens.Table }) {
    return (
        <Table className="sheet" verticalSpacing={4}>
            <Table.Thead>
                <Table.Tr>
                    {table.header.map((cell) => (
                        <Table.Th key={cell.text}>{cell.text}</Table.Th>
                    ))}
                </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
                {table.rows.map((row) => (
                    <Table.Tr key={row[0]?.text}>
                        {row.map((cell, i) => (
                            <Table.Td key={cell.text} style={i === 0 ? { whiteSpace: 'nowrap' } : undefined}>
                                {inline(cell.tokens)}
                            </Table.Td>
                        ))}
                    </Table.Tr>
                ))}
            </Table.Tbody>
        </Table>
    );
}

function inline(tokens: Token[]): ReactNode {
    return tokens.map((token, i) => {
        const text = 'text' in token ? token.text : '';
        return (
            // biome-ignore lint/suspicious/noArrayIndexKey: the page does not change
            <Fragment key={i}>
                {token.type === 'codespan' ? <kbd>{text}</kbd> : token.type === 'strong' ? <b>{text}</b> : text}
            </Fragment>
        );
    });
}

/** What is typed, and what it is. */
function Example({ text }: { text: string }) {
    const preview = useQuery({
        queryKey: ['shorthand', text],
        queryFn: () => ask('post', '/shorthand', { body: { shorthand: text } }),
        staleTime: Number.POSITIVE_INFINITY,
    });
    return (
        <div className={styles.desk}>
            <pre className={`sheet ${referenceStyles.example}`}>{text}</pre>
            <div className="sheet">
                {preview.data?.music != null && (
                    <Score music={preview.data.music} title={t('The example, engraved')} scale={36} />
                )}
            </div>
        </div>
    );
}
