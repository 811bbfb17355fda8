import { Button, Group, Select, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, api, ask, at, keyOf } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { ShownOnce } from '../shared/ShownOnce';
import { shortDate } from '../shared/words';
import { t } from '../text';

type Member = Api['MemberResource'];

const ROLES = [
    { value: 'teacher', label: t('Teacher: all students, books and settings') },
    { value: 'assistant', label: t('Assistant: lessons and plans of the students given to her') },
];

/** Who works in the studio. Whoever leads it invites others, says what they may do, and takes them out. */
export function Members() {
    const session = useSession();
    const members = api.useQuery('get', '/members');
    const [leaving, setLeaving] = useState<Member | null>(null);
    const hand = useMembers(() => setLeaving(null));
    const leads = session.data?.role === 'owner';
    const link = hand.invite.data ?? hand.again.data;
    return (
        <section className="sheet" aria-label={t('People')}>
            <Title order={2} fz="lg" mb={6}>
                {t('People')}
            </Title>
            <Stack gap="xs">
                <Trouble error={members.error} again={() => members.refetch()} />
                <ul className="plain-list">
                    {members.data?.map((member) => (
                        <MemberRow
                            key={member.id}
                            member={member}
                            leads={leads}
                            change={(role) => hand.change.mutate({ member, role })}
                            again={() => hand.again.mutate(member)}
                            takeOut={() => setLeaving(member)}
                        />
                    ))}
                </ul>
                <Trouble error={hand.change.error ?? hand.again.error} />
                {link?.token && (
                    <ShownOnce
                        url={`${location.origin}/invited#${link.token}`}
                        about={t('{{name}} gets this by mail. You can send it yourself too; it opens for two weeks.', {
                            name: link.name,
                        })}
                    />
                )}
                {leads && <InviteForm invite={hand.invite} />}
            </Stack>
            <Dialog
                opened={leaving !== null}
                onClose={() => setLeaving(null)}
                title={
                    leaving?.hasJoined
                        ? t('Take {{name}} out?', { name: leaving.name })
                        : t('Take the invitation of {{name}} back?', { name: leaving?.name })
                }
            >
                {leaving !== null && <TakeOut member={leaving} others={members.data ?? []} takeOut={hand.takeOut} />}
            </Dialog>
        </section>
    );
}

function useMembers(done: () => void) {
    const client = useQueryClient();
    const fresh = () =>
        Promise.all([
            client.invalidateQueries({ queryKey: keyOf('/members') }),
            client.invalidateQueries({ queryKey: keyOf('/session') }),
            client.invalidateQueries({ queryKey: keyOf('/this-week') }),
        ]);
    return {
        invite: useMutation({
            mutationFn: (body: Api['MemberRequest']) => ask('post', '/members', { body }),
            onSuccess: fresh,
        }),
        again: useMutation({
            mutationFn: (member: Member) => ask('post', '/members/{member}/invitation', at({ member: member.id })),
            onSuccess: fresh,
        }),
        change: useMutation({
            mutationFn: ({ member, role }: { member: Member; role: Member['role'] }) =>
                ask('patch', '/members/{member}', { ...at({ member: member.id }), body: { role } }),
            onSuccess: fresh,
        }),
        takeOut: useMutation({
            mutationFn: ({ member, studentsTo }: { member: Member; studentsTo: number | null }) =>
                ask('delete', '/members/{member}', { ...at({ member: member.id }), body: { studentsTo } }),
            onSuccess: async () => {
                await fresh();
                done();
            },
        }),
    };
}

interface RowProps {
    member: Member;
    leads: boolean;
    change: (role: Member['role']) => void;
    again: () => void;
    takeOut: () => void;
}

function MemberRow({ member, leads, change, again, takeOut }: RowProps) {
    const { name, email, role, isYou, hasJoined, invitedUntil, students } = member;
    return (
        <li>
            <Group gap="sm" justify="space-between" py={4}>
                <div>
                    <Text>
                        <b>{name}</b>
                        {isYou && t(' (you)')} <span className="faint">{email}</span>
                    </Text>
                    <Text size="sm" className="faint">
                        {role === 'owner' ? t('leads the studio') : role}
                        {` · ${students === 1 ? t('1 student') : t('{{students}} students', { students })}`}
                        {!hasJoined &&
                            (invitedUntil === null
                                ? t(' · the invitation is too old')
                                : t(' · invited until {{shortDate}}', { shortDate: shortDate(invitedUntil) }))}
                    </Text>
                </div>
                {leads && !isYou && (
                    <Group gap="xs">
                        <Select
                            size="xs"
                            w={150}
                            aria-label={t('What {{name}} may do', { name })}
                            allowDeselect={false}
                            value={role}
                            onChange={(next) => next !== null && change(next as Member['role'])}
                            data={[
                                { value: 'teacher', label: t('teacher') },
                                { value: 'assistant', label: t('assistant') },
                                ...(hasJoined ? [{ value: 'owner', label: t('leads the studio') }] : []),
                            ]}
                        />
                        {!hasJoined && (
                            <Button size="compact-sm" variant="default" onClick={again}>
                                {t('A new link')}
                            </Button>
                        )}
                        <Button
                            size="compact-sm"
                            variant="default"
                            onClick={takeOut}
                            aria-label={
                                hasJoined
                                    ? t('Take {{name}} out', { name })
                                    : t('Take the invitation of {{name}} back', { name })
                            }
                        >
                            {t('Take out')}
                        </Button>
                    </Group>
                )}
            </Group>
        </li>
    );
}

const NOBODY: Api['MemberRequest'] = { name: '', email: '', role: 'teacher' };

function InviteForm({ invite }: { invite: ReturnType<typeof useMembers>['invite'] }) {
    const [draft, setDraft] = useState(NOBODY);
    const set = (change: Partial<typeof NOBODY>) => setDraft((before) => ({ ...before, ...change }));
    const submit = (event: FormEvent) => {
        event.preventDefault();
        if (!invite.isPending) invite.mutate(draft, { onSuccess: () => setDraft(NOBODY) });
    };
    return (
        <Stack component="form" onSubmit={submit} gap="xs" aria-label={t('Invite somebody')}>
            <Group align="flex-end" gap="xs" grow>
                <TextInput
                    label={t('Name')}
                    required
                    maxLength={120}
                    value={draft.name}
                    onChange={(event) => set({ name: event.currentTarget.value })}
                />
                <TextInput
                    label={t('Email')}
                    type="email"
                    required
                    maxLength={190}
                    value={draft.email}
                    onChange={(event) => set({ email: event.currentTarget.value })}
                />
            </Group>
            <Select
                label={t('As')}
                allowDeselect={false}
                value={draft.role}
                onChange={(role) => role !== null && set({ role: role as typeof NOBODY.role })}
                data={ROLES}
            />
            <Trouble error={invite.error} />
            <Group>
                <Button type="submit" variant="light" loading={invite.isPending}>
                    {t('Invite')}
                </Button>
            </Group>
        </Stack>
    );
}

interface TakeOutProps {
    member: Member;
    others: Member[];
    takeOut: ReturnType<typeof useMembers>['takeOut'];
}

/** The students of whoever goes stay, with everything of theirs, and get another teacher. */
function TakeOut({ member, others, takeOut }: TakeOutProps) {
    const [to, setTo] = useState<string | null>(String(others.find((one) => one.isYou)?.id ?? ''));
    return (
        <Stack gap="sm">
            <Text>
                {member.hasJoined
                    ? t('{{name}} cannot open this studio any more. The account stays, for other studios.', {
                          name: member.name,
                      })
                    : t('The link opens nothing any more.')}
            </Text>
            {member.students > 0 && (
                <Select
                    label={
                        member.students === 1
                            ? t('Who teaches the student from now on')
                            : t('Who teaches the {{students}} students from now on', { students: member.students })
                    }
                    allowDeselect={false}
                    value={to}
                    onChange={setTo}
                    data={others
                        .filter((one) => one.id !== member.id)
                        .map((one) => ({ value: String(one.id), label: one.name }))}
                />
            )}
            <Trouble error={takeOut.error} />
            <Group>
                <Button
                    color="red"
                    loading={takeOut.isPending}
                    onClick={() =>
                        takeOut.mutate({ member, studentsTo: member.students > 0 && to ? Number(to) : null })
                    }
                >
                    {t('Take out')}
                </Button>
            </Group>
        </Stack>
    );
}
