import { Stack, Text, Title } from '@mantine/core';
import type { FormEvent, ReactNode } from 'react';
import { t } from '../text';
import styles from './SignIn.module.css';

interface Props {
    submit: (event: FormEvent) => void;
    words: string;
    wide?: boolean;
    children: ReactNode;
}

/** A form for whoever is not signed in. */
export function Door({ submit, words, wide = false, children }: Props) {
    return (
        <main className={styles.page}>
            <Stack component="form" onSubmit={submit} className="sheet" w={wide ? 520 : 380} maw="100%" gap="md" p="xl">
                <div>
                    <img src="/leaf.svg" alt="" width="44" height="44" />
                    <Title order={1} fz={34}>
                        {t('Nasturtium')}
                    </Title>
                    <Text className="faint">{words}</Text>
                </div>
                {children}
            </Stack>
        </main>
    );
}
