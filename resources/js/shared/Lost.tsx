import { Anchor, Text } from '@mantine/core';
import { Link } from 'react-router';
import { Empty } from './Notes';

export function Lost() {
    return (
        <Empty title="There is nothing at this address">
            <Text>
                <Anchor component={Link} to="/">
                    Go to this week
                </Anchor>
            </Text>
        </Empty>
    );
}
