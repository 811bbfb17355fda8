import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { PracticeRoom } from '../practice/PracticeRoom';
import type { Answers } from '../practice/useSession';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import { useAwake } from './useAwake';
import { roomOf } from './useHome';

interface Props {
    token: string;
    child: number | null;
    today: string;
    save: (answers: Answers) => void;
    leave: () => void;
}

/** The practice room at home; what is answered without a connection is sent later. */
export function Room({ token, child, today, save, leave }: Props) {
    const room = useQuery(roomOf(token, child));
    useAwake();
    const back = (
        <Button variant="default" size="md" onClick={leave}>
            ← {t('Today')}
        </Button>
    );
    if (room.data !== undefined) return <PracticeRoom room={room.data} date={today} save={save} back={back} />;
    return (
        <>
            {back}
            <Trouble error={room.error} again={() => room.refetch()} />
            {room.error === null && <Waiting what={t('One moment…')} />}
        </>
    );
}
