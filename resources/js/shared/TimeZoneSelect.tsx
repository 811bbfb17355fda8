import { Select, type SelectProps } from '@mantine/core';
import { t } from '../text';

const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== 'UTC')];

/** A time zone among some four hundred, found by typing a part of its name, on a tablet too. */
export function TimeZoneSelect(props: Omit<SelectProps, 'data' | 'label' | 'searchable' | 'limit'>) {
    return <Select label={t('Time zone')} searchable inputMode="search" limit={12} data={ZONES} {...props} />;
}
