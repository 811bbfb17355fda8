import { Button, Group, MultiSelect, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, api, ask, at, keyOf, wordsOf } from '../api';
import { CalendarLink } from '../shared/CalendarLink';
import { Trouble } from '../shared/Notes';
import { ShownOnce } from '../shared/ShownOnce';
import { isHere } from '../shared/students';
import { dateOf, shortDate } from '../shared/words';
import { t } from '../text';

type FamilyLink = Api['FamilyLinkResource'];

/** Private links to the home side; a new one is shown once, for nothing but its hash is kept. */
export function FamilyLinks({ studentId, links }: { studentId: number; links: FamilyLink[] }) {
    const client = useQueryClient();
    const [label, setLabel] = useState('');
    const fresh = () =>
        client.invalidateQueries({ queryKey: keyOf('/students/{student}', at({ student: studentId })) });
    const make = useMutation({
        mutationFn: () =>
            ask('post', '/students/{student}/links', {
                ...at({ student: studentId }),
                body: { label: label || t('Home'), expiresOn: null },
            }),
        onSuccess: () => {
            setLabel('');
            fresh();
        },
    });
    const withdraw = useMutation({
        mutationFn: (id: number) => ask('delete', '/links/{link}', at({ link: id })),
        onSuccess: fresh,
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        make.mutate();
    };
    return (
        <section className="sheet" aria-label={t('Home links')}>
            <Title order={2} fz="lg">
                {t('Home links')}
            </Title>
            <Stack gap={6} mt="xs">
                {links.map((link) => (
                    <LinkRow
                        key={link.id}
                        link={link}
                        studentId={studentId}
                        fresh={fresh}
                        withdraw={() => withdraw.mutate(link.id)}
                    />
                ))}
                <Trouble error={make.error ?? withdraw.error} />
                {make.data?.url && <ShownOnce url={make.data.url} about={t('Send this to the family now.')} />}
                <CalendarLink studentId={studentId} />
                <Group component="form" onSubmit={submit} align="flex-end" gap="xs">
                    <TextInput
                        label={t('A new link for')}
                        placeholder={t('Family tablet')}
                        value={label}
                        onChange={(event) => setLabel(event.currentTarget.value)}
                    />
                    <Button type="submit" variant="light" loading={make.isPending}>
                        {t('Make a link')}
                    </Button>
                </Group>
            </Stack>
        </section>
    );
}

/** The other children of the family, who share the link. */
function Siblings({ link, studentId, fresh }: { link: FamilyLink; studentId: number; fresh: () => void }) {
    const students = api.useQuery('get', '/students');
    const join = useMutation({
        mutationFn: (studentIds: number[]) =>
            ask('put', '/links/{link}/siblings', { ...at({ link: link.id }), body: { studentIds } }),
        onSuccess: fresh,
    });
    return (
        <MultiSelect
            size="xs"
            aria-label={t('Brothers and sisters on {{label}}', { label: link.label })}
            placeholder={link.siblings.length === 0 ? t('join brothers and sisters') : ''}
            value={link.siblings.map((child) => String(child.id))}
            onChange={(ids) => join.mutate(ids.map(Number))}
            data={(students.data ?? [])
                .filter((student) => student.id !== studentId && isHere(student))
                .map((student) => ({ value: String(student.id), label: student.name }))}
            error={join.error === null ? undefined : wordsOf(join.error).join(' ')}
        />
    );
}

/** A link: when it was used, who shares it, and the way to close it. */
function LinkRow({
    link,
    studentId,
    fresh,
    withdraw,
}: {
    link: FamilyLink;
    studentId: number;
    fresh: () => void;
    withdraw: () => void;
}) {
    return (
        <Group gap="sm">
            <Text td={link.withdrawn ? 'line-through' : undefined}>{link.label}</Text>
            <Text size="sm" className="faint">
                {link.withdrawn
                    ? t('withdrawn')
                    : link.usedAt
                      ? t('used {{shortDate}}', { shortDate: shortDate(dateOf(link.usedAt)) })
                      : t('not used yet')}
            </Text>
            {!link.withdrawn && <Siblings link={link} studentId={studentId} fresh={fresh} />}
            {!link.withdrawn && (
                <Button size="compact-sm" variant="default" onClick={withdraw}>
                    {t('Withdraw')}
                </Button>
            )}
        </Group>
    );
}
