import { Text } from '@mantine/core';
import type { Api } from '../api';
import { longDate } from './words';

/** What a parent wrote, by day; nothing where nothing was. */
export function FromFamily({ words }: { words: readonly Api['FamilyWordResource'][] }) {
    return words.map((word) => (
        <Text size="sm" key={word.date}>
            From the family, {longDate(word.date)}: “{word.words}”
        </Text>
    ));
}
