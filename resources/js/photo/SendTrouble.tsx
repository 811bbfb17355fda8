import { Alert } from '@mantine/core';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { NoPicture } from './picture';

/** Why a picture did not go: a kind that this browser cannot draw, or what the server says. */
export function SendTrouble({ error }: { error: unknown }) {
    if (!(error instanceof NoPicture)) return <Trouble error={error} />;
    return (
        <Alert color="flower" variant="light" role="alert" c="var(--ink)">
            {t('{{name}} cannot be opened by this browser. Save it as a JPEG, and choose it again.', {
                name: error.message,
            })}
        </Alert>
    );
}
