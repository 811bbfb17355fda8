import { Button, Group, Text } from '@mantine/core';
import { useQueries } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { type Api, api, at, choices } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { PAPER } from '../shared/paper';
import { useSession } from '../shared/Shell';
import { t } from '../text';
import { SheetItems } from './SheetItems';
import styles from './Sheets.module.css';

const SHARED: Record<string, string> = {
    name: t('Write the name under each note.'),
    signs: t('Ring what it says.'),
    same: t('Ring what is right.'),
};

/** Worksheets on paper, one after the other; the answers stand on pages of their own at the end. */
export function SheetPrint() {
    const [search] = useSearchParams();
    const session = useSession();
    const ids = (search.get('ids') ?? '').split(',').map(Number).filter(Number.isInteger);
    const sheets = useQueries({
        queries: ids.map((worksheet) => api.queryOptions('get', '/worksheets/{worksheet}', at({ worksheet }))),
    });
    const failed = sheets.find((one) => one.error)?.error ?? session.error;
    const ready = sheets.flatMap((one) => one.data ?? []);
    if (failed) return <Trouble error={failed} />;
    if (session.data === undefined || ready.length < ids.length) return <Waiting what={t('Laying out the sheet…')} />;
    const paper = PAPER[session.data.studio.paper];
    return (
        <main className="on-paper">
            <style>{t('@page { size: {{size}}; margin: 10mm; }', { size: paper.size })}</style>
            <Group className="no-print" p="sm">
                <Button onClick={() => window.print()}>{t('Print')}</Button>
                <Button variant="default" component={Link} to={`/worksheets?student=${search.get('student') ?? ''}`}>
                    {t('Back to the worksheets')}
                </Button>
            </Group>
            <article className="paper" style={{ width: `${paper.width}mm` }}>
                {ready.map((sheet) => (
                    <section key={sheet.id} className={styles.sheet}>
                        <Head sheet={sheet} />
                        {SHARED[sheet.kind] !== undefined && <p className={styles.ask}>{SHARED[sheet.kind]}</p>}
                        <SheetItems items={sheet.items} />
                    </section>
                ))}
                {ready.map((sheet) => (
                    <Answers key={sheet.id} sheet={sheet} />
                ))}
            </article>
        </main>
    );
}

const labelOf = (kind: Api['SheetKind']) => choices.SheetKind.find((one) => one.value === kind)?.label ?? '';

function Head({ sheet }: { sheet: Api['PrintedSheetResource'] }) {
    return (
        <header className={styles.head}>
            <Text component="h1" ff="heading" fz={22} fw={600}>
                {labelOf(sheet.kind)} <small>{t('No. {{number}}', { number: sheet.number })}</small>
            </Text>
            <Text fz={13}>{t('Name: ____________________ Date: ____________')}</Text>
        </header>
    );
}

function Answers({ sheet }: { sheet: Api['PrintedSheetResource'] }) {
    return (
        <section className={styles.sheet} data-answers="yes">
            <Text component="h2" ff="heading" fz={18} fw={600}>
                {t('Answers to no. {{number}}: {{kind}}', { number: sheet.number, kind: labelOf(sheet.kind) })}
            </Text>
            <ol className={styles.answers}>
                {sheet.items.map((item, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: an answer has no other name than its number
                    <li key={i}>{item.answer}</li>
                ))}
            </ol>
        </section>
    );
}
