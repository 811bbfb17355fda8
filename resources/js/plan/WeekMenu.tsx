import { Button, Menu } from '@mantine/core';
import { useNavigate } from 'react-router';
import type { Week } from '../api';
import { t } from '../text';
import type { PlanDialog } from './PlanHead';
import type { WeekInHand } from './useWeek';

interface Props {
    data: Week;
    hand: WeekInHand;
    open: (dialog: PlanDialog) => void;
}

/** What is done with a whole week now and then. */
export function WeekMenu({ data, hand, open }: Props) {
    const navigate = useNavigate();
    const light = data.share < 100;
    return (
        <Menu position="bottom-end" withinPortal>
            <Menu.Target>
                <Button variant="default">{t('More')}</Button>
            </Menu.Target>
            <Menu.Dropdown>
                <Menu.Item onClick={() => open('word')}>{t('A word to the family (m)')}</Menu.Item>
                <Menu.Item onClick={() => hand.apply((tasks) => tasks, undefined, { share: light ? 100 : 50 })}>
                    {light ? t('All the minutes again') : t('A light week: half the minutes')}
                </Menu.Item>
                <Menu.Item onClick={() => hand.fill.mutate({ pattern: null })}>
                    {t('Last week again, what did not pass')}
                </Menu.Item>
                <Menu.Item onClick={() => open('patterns')}>{t('Templates…')}</Menu.Item>
                <Menu.Item onClick={() => open('others')}>{t('For other students too…')}</Menu.Item>
                <Menu.Divider />
                <Menu.Item onClick={() => navigate(`/weeks/${data.id}/sheet`)}>{t('Print')}</Menu.Item>
            </Menu.Dropdown>
        </Menu>
    );
}
