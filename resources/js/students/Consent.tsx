import { Button, Group, List, Stack, Text, Textarea, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, api, ask, at, keyOf, type Student } from '../api';
import { Trouble } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { fullDate, shortDate } from '../shared/words';
import { t } from '../text';

type Access = Api['AccessResource'];

const DID: Record<Access['what'], string> = {
    page: t('opened this page'),
    progress: t('looked at the progress'),
    home: t('opened the home side'),
    export: t('exported the data'),
    report: t('made a report'),
    calendar: t('fetched the calendar'),
};

/** What a parent agreed to, and who has looked at the data of a student. */
export function Consent({ student }: { student: Student }) {
    const client = useQueryClient();
    const studio = useSession().data?.studio;
    const [draft, setDraft] = useState({ on: studio?.today ?? '', words: '' });
    const save = useMutation({
        mutationFn: (given: { consentedOn: string | null; words: string }) =>
            ask('put', '/students/{student}/consent', { ...at({ student: student.id }), body: given }),
        onSuccess: () =>
            client.invalidateQueries({ queryKey: keyOf('/students/{student}', at({ student: student.id })) }),
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate({ consentedOn: draft.on, words: draft.words });
    };
    const isChild = studio !== undefined && student.age < studio.consentAge;
    return (
        <section className="sheet" aria-label={t('Consent and data')}>
            <Title order={2} fz="lg">
                {t('Consent and data')}
            </Title>
            <Stack gap="xs" mt="xs">
                {student.consentedOn !== null ? (
                    <Agreed
                        student={student}
                        saving={save.isPending}
                        takeBack={() => {
                            setDraft({ on: student.consentedOn ?? '', words: student.consentWords });
                            save.mutate({ consentedOn: null, words: '' });
                        }}
                    />
                ) : (
                    <>
                        <Text className={isChild ? undefined : 'faint'}>
                            {isChild
                                ? t(
                                      '{{firstName}} is under {{consentAge}}. You can make a home link once a parent has agreed.',
                                      { firstName: student.firstName, consentAge: studio.consentAge },
                                  )
                                : t('No consent is noted. At this age none is needed.')}
                        </Text>
                        <ConsentForm
                            today={studio?.today}
                            draft={draft}
                            setDraft={setDraft}
                            submit={submit}
                            saving={save.isPending}
                        />
                    </>
                )}
                <Trouble error={save.error} />
                <Accesses studentId={student.id} />
            </Stack>
        </section>
    );
}

function Agreed({ student, saving, takeBack }: { student: Student; saving: boolean; takeBack: () => void }) {
    return (
        <Group gap="sm">
            <Text>
                {t('Agreed on {{fullDate}}: {{consentWords}}', {
                    fullDate: fullDate(student.consentedOn ?? ''),
                    consentWords: student.consentWords,
                })}
            </Text>
            <Button size="compact-sm" variant="default" loading={saving} onClick={takeBack}>
                {t('Remove')}
            </Button>
        </Group>
    );
}

function Accesses({ studentId }: { studentId: number }) {
    const [isOpen, setOpen] = useState(false);
    const accesses = api.useQuery('get', '/students/{student}/accesses', at({ student: studentId }), {
        enabled: isOpen,
    });
    return (
        <details onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary>{t('Who has looked at this data')}</summary>
            <Trouble error={accesses.error} again={() => accesses.refetch()} />
            {accesses.data?.length === 0 && <Text size="sm">{t('Nobody yet.')}</Text>}
            <List size="sm" mt={4}>
                {(accesses.data ?? []).map((one) => (
                    <List.Item key={`${one.date} ${one.who} ${one.what}`}>
                        {shortDate(one.date)}: {one.who} {DID[one.what]}
                    </List.Item>
                ))}
            </List>
        </details>
    );
}

/** When a parent agreed, and to what. */
function ConsentForm({
    today,
    draft,
    setDraft,
    submit,
    saving,
}: {
    today: string | undefined;
    draft: { on: string; words: string };
    setDraft: (draft: { on: string; words: string }) => void;
    submit: (event: FormEvent) => void;
    saving: boolean;
}) {
    return (
        <Group component="form" onSubmit={submit} align="flex-end" gap="xs">
            <TextInput
                label={t('Agreed on')}
                type="date"
                required
                max={today}
                value={draft.on}
                onChange={(event) => setDraft({ ...draft, on: event.currentTarget.value })}
            />
            <Textarea
                label={t('Who agreed, and to what')}
                placeholder={t('Her mother, to the home link, by signature')}
                required
                autosize
                maxLength={500}
                flex={1}
                miw={220}
                value={draft.words}
                onChange={(event) => setDraft({ ...draft, words: event.currentTarget.value })}
            />
            <Button type="submit" variant="light" loading={saving}>
                {t('Note the consent')}
            </Button>
        </Group>
    );
}
