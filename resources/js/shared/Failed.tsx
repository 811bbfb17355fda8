import { Button, Text } from '@mantine/core';
import { t } from '../text';
import { Empty } from './Notes';

/** A room that could not be opened: its script did not come, or something in it went wrong. Shown in its place. */
export function Failed() {
    return (
        <div role="alert">
            <Empty title={t('This room could not be opened')}>
                <Text>
                    {t('The connection may have gone, or there is a newer Nasturtium than when this page was loaded.')}
                </Text>
                <Button onClick={() => location.reload()}>{t('Load it again')}</Button>
            </Empty>
        </div>
    );
}
