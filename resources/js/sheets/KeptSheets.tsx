import { Button, Checkbox, CloseButton, Group, NumberInput, Select, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, api, at, choices } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { isHere } from '../shared/students';
import { listed, shortDate } from '../shared/words';
import { t } from '../text';

type Sheet = Api['WorksheetResource'];

/** The sheets that were kept: printed again, several at once, given to students and marked. */
export function KeptSheets() {
    const sheets = api.useQuery('get', '/worksheets');
    const students = api.useQuery('get', '/students');
    const [chosen, setChosen] = useState<number[]>([]);
    const [leaving, setLeaving] = useState<Sheet | null>(null);
    const done = { onSuccess: () => sheets.refetch() };
    const mark = api.useMutation('put', '/worksheets/{worksheet}/students/{student}', done);
    const takeBack = api.useMutation('delete', '/worksheets/{worksheet}/students/{student}', done);
    const remove = api.useMutation('delete', '/worksheets/{worksheet}', done);
    if (sheets.data === undefined || sheets.data.length === 0) return <Trouble error={sheets.error} />;
    const give = (sheet: number, student: number, right: number | null) =>
        mark.mutate({ params: { path: { worksheet: sheet, student } }, body: { right } });
    const others = (sheet: Sheet) =>
        (students.data ?? [])
            .filter((one) => isHere(one) && !sheet.given.some((given) => given.studentId === one.id))
            .map((one) => ({ value: String(one.id), label: one.name }));
    return (
        <section className="sheet" aria-label={t('Kept sheets')}>
            <Group justify="space-between">
                <Title order={2} fz="lg">
                    {t('Kept sheets')}
                </Title>
                {chosen.length > 1 && (
                    <Button component={Link} to={`/worksheets/print?ids=${chosen.join(',')}`}>
                        {t('Print {{count}} together', { count: chosen.length })}
                    </Button>
                )}
            </Group>
            <Trouble error={mark.error ?? takeBack.error ?? remove.error} />
            <ul className="plain-list">
                {sheets.data.map((sheet) => (
                    <SheetRow
                        key={sheet.id}
                        sheet={sheet}
                        chosen={chosen.includes(sheet.id)}
                        choose={(is) =>
                            setChosen(is ? [...chosen, sheet.id] : chosen.filter((one) => one !== sheet.id))
                        }
                        others={others(sheet)}
                        give={give}
                        takeBack={(student) => takeBack.mutate(at({ worksheet: sheet.id, student }))}
                        remove={() => setLeaving(sheet)}
                    />
                ))}
            </ul>
            {leaving !== null && (
                <DeleteSheet
                    sheet={leaving}
                    close={() => setLeaving(null)}
                    remove={() => remove.mutate(at({ worksheet: leaving.id }))}
                />
            )}
        </section>
    );
}

const nameOf = (sheet: Sheet) =>
    t('{{number}}: {{kind}}, {{day}}', {
        number: sheet.number,
        kind: choices.SheetKind.find((one) => one.value === sheet.kind)?.label ?? '',
        day: shortDate(sheet.madeOn),
    });

interface DeleteProps {
    sheet: Sheet;
    close: () => void;
    remove: () => void;
}

/** What is gone for good is asked about: marks go with their sheet. */
function DeleteSheet({ sheet, close, remove }: DeleteProps) {
    return (
        <Dialog title={t('Delete sheet {{number}}?', { number: sheet.number })} onClose={close}>
            <Text mb="md">
                {sheet.given.length === 0
                    ? t('Nobody has it.')
                    : t('It is taken from {{students}}, with what was marked.', {
                          students: listed(sheet.given.map((given) => given.student)),
                      })}
            </Text>
            <Group>
                <Button
                    onClick={() => {
                        remove();
                        close();
                    }}
                >
                    {t('Delete')}
                </Button>
                <Button variant="default" onClick={close}>
                    {t('Keep it')}
                </Button>
            </Group>
        </Dialog>
    );
}

interface RowProps {
    sheet: Sheet;
    chosen: boolean;
    choose: (is: boolean) => void;
    others: { value: string; label: string }[];
    give: (sheet: number, student: number, right: number | null) => void;
    takeBack: (student: number) => void;
    remove: () => void;
}

function SheetRow({ sheet, chosen, choose, others, give, takeBack, remove }: RowProps) {
    return (
        <li>
            <Group gap="sm" py={6}>
                <Checkbox
                    checked={chosen}
                    onChange={(event) => choose(event.currentTarget.checked)}
                    label={nameOf(sheet)}
                />
                <Button
                    size="compact-sm"
                    variant="default"
                    component={Link}
                    to={`/worksheets/print?ids=${sheet.id}`}
                    aria-label={t('Print sheet {{number}}', { number: sheet.number })}
                >
                    {t('Print')}
                </Button>
                {sheet.given.map((given) => (
                    <Mark
                        key={given.studentId}
                        sheet={sheet}
                        given={given}
                        mark={give}
                        takeBack={() => takeBack(given.studentId)}
                    />
                ))}
                <Select
                    aria-label={t('Give sheet {{number}} to', { number: sheet.number })}
                    placeholder={t('Give to…')}
                    w={130}
                    size="xs"
                    value={null}
                    onChange={(id) => id !== null && give(sheet.id, Number(id), null)}
                    data={others}
                />
                <Button
                    size="compact-sm"
                    variant="default"
                    aria-label={t('Delete sheet {{number}}', { number: sheet.number })}
                    onClick={remove}
                >
                    {t('Delete')}
                </Button>
            </Group>
        </li>
    );
}

interface MarkProps {
    sheet: Sheet;
    given: Sheet['given'][number];
    mark: (sheet: number, student: number, right: number | null) => void;
    takeBack: () => void;
}

/** How many were right, of how many. */
function Mark({ sheet, given, mark, takeBack }: MarkProps) {
    return (
        <Group gap={4} wrap="nowrap">
            <Text size="sm">{given.student}</Text>
            <NumberInput
                aria-label={t('Right answers of {{student}}, sheet {{number}}', {
                    student: given.student,
                    number: sheet.number,
                })}
                w={64}
                size="xs"
                min={0}
                max={sheet.questions}
                placeholder="–"
                value={given.right ?? ''}
                onBlur={(event) => {
                    const text = event.currentTarget.value;
                    const right = text === '' ? null : Number(text);
                    if (right !== given.right) mark(sheet.id, given.studentId, right);
                }}
            />
            <Text size="sm">{t('of {{questions}}', { questions: sheet.questions })}</Text>
            <CloseButton
                size="sm"
                aria-label={t('Take sheet {{number}} back from {{student}}', {
                    number: sheet.number,
                    student: given.student,
                })}
                onClick={takeBack}
            />
        </Group>
    );
}
