import { Checkbox } from '@mantine/core';
import { ApiError } from '../api';
import { t } from '../text';

/** Where another lesson stands at this time, the teacher may say that the two come together; else nothing is asked. */
export function Together({ error, on, set }: { error: unknown; on: boolean; set: (on: boolean) => void }) {
    const isAsked = error instanceof ApiError && error.errors.together !== undefined;
    if (!isAsked && !on) return null;
    return (
        <Checkbox
            label={t('They come together, as a pair or a group')}
            checked={on}
            onChange={(event) => set(event.currentTarget.checked)}
        />
    );
}
