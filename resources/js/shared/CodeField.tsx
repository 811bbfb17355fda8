import { TextInput } from '@mantine/core';
import { ApiError } from '../api';
import { t } from '../text';

interface Props {
    /** What came back from the sign-in. */
    error: unknown;
    code: string;
    set: (code: string) => void;
}

/** The code of the second step, where the server asks for it. */
export function CodeField({ error, code, set }: Props) {
    const isAsked = error instanceof ApiError && error.errors.code !== undefined;
    if (!isAsked && code === '') return null;
    return (
        <TextInput
            label={t('Code of your app, or a recovery code')}
            autoComplete="one-time-code"
            required
            value={code}
            onChange={(event) => set(event.currentTarget.value)}
            autoFocus
        />
    );
}
