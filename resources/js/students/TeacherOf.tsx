import { Select, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, at, keyOf, type Student } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';

/** Who teaches the student, where several could; handed over with everything that was practised and passed. */
export function TeacherOf({ student }: { student: Student }) {
    const client = useQueryClient();
    const members = api.useQuery('get', '/members');
    const hand = useMutation({
        mutationFn: (memberId: number) =>
            ask('put', '/students/{student}/teacher', { ...at({ student: student.id }), body: { memberId } }),
        onSuccess: () =>
            Promise.all([
                client.invalidateQueries({ queryKey: keyOf('/students/{student}', at({ student: student.id })) }),
                client.invalidateQueries({ queryKey: keyOf('/this-week') }),
                client.invalidateQueries({ queryKey: keyOf('/members') }),
            ]),
    });
    if ((members.data ?? []).length < 2) return null;
    const leads = members.data?.find((one) => one.role === 'owner')?.id;
    return (
        <section className="sheet" aria-label={t('Teacher')}>
            <Title order={2} fz="lg" mb={6}>
                {t('Teacher')}
            </Title>
            <Select
                maw={320}
                aria-label={t('Who teaches {{firstName}}', { firstName: student.firstName })}
                allowDeselect={false}
                value={String(student.teacherId ?? leads ?? '')}
                onChange={(id) => id !== null && hand.mutate(Number(id))}
                data={(members.data ?? []).map((one) => ({
                    value: String(one.id),
                    label: one.hasJoined ? one.name : t('{{name}} (invited)', { name: one.name }),
                }))}
            />
            <Text size="sm" className="faint" role="status">
                {hand.isSuccess && t('Handed over, with everything that was practised and passed.')}
            </Text>
            <Trouble error={hand.error} />
        </section>
    );
}
