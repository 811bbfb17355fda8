import { Anchor, Text } from '@mantine/core';
import { Link } from 'react-router';
import { t } from '../text';
import { Empty } from './Notes';

export function Lost() {
    return (
        <Empty title={t('There is nothing at this address')}>
            <Text>
                <Anchor component={Link} to="/">
                    {t('Go to this week')}
                </Anchor>
            </Text>
        </Empty>
    );
}
