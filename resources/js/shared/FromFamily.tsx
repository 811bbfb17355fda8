import { Text } from '@mantine/core';
import type { Api } from '../api';
import { t } from '../text';
import { longDate } from './words';

/** What a parent wrote, by day; nothing where nothing was. */
export function FromFamily({ words }: { words: readonly Api['FamilyWordResource'][] }) {
    return words.map((word) => (
        <Text size="sm" key={word.date}>
            {t('From the family, {{longDate}}: “{{said}}”', { longDate: longDate(word.date), said: word.words })}
        </Text>
    ));
}
