import { PasswordInput } from '@mantine/core';
import { t } from '../text';

interface Props {
    value: string;
    set: (password: string) => void;
}

/** A password for a new account. */
export function NewPasswordField({ value, set }: Props) {
    return (
        <PasswordInput
            label={t('Password')}
            description={t('At least 10 characters; a few words in a row are good.')}
            required
            minLength={10}
            autoComplete="new-password"
            value={value}
            onChange={(event) => set(event.currentTarget.value)}
        />
    );
}
