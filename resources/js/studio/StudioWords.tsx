import { Autocomplete, SimpleGrid, Text } from '@mantine/core';
import type { Api } from '../api';
import styles from './StudioWords.module.css';

type WordsAt = Api['WordsAtResource'];

/** As they are sent: by place or length. */
export function wordsBy(words: readonly WordsAt[]): Record<string, string> {
    return Object.fromEntries(words.map((one) => [one.at, one.words]));
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

interface Props {
    title: string;
    about: string;
    words: readonly WordsAt[];
    change: (words: WordsAt[]) => void;
}

/** Words that the teacher may put in the place of the usual ones, with some to choose from. */
export function StudioWords({ title, about, words, change }: Props) {
    return (
        <fieldset className={styles.words}>
            <Text component="legend" fw={700}>
                {title}
            </Text>
            <Text size="sm" className="faint" mb={4}>
                {about}
            </Text>
            <SimpleGrid cols={2} spacing="sm">
                {words.map((one) => (
                    <Autocomplete
                        key={one.at}
                        label={`${capital(one.label)}${one.letters === '' ? '' : `s: ${one.letters.split('').join(' ')}`}`}
                        placeholder={one.choices[0] ?? ''}
                        value={one.words}
                        data={one.choices}
                        filter={({ options }) => options}
                        onChange={(said) =>
                            change(words.map((other) => (other.at === one.at ? { ...other, words: said } : other)))
                        }
                    />
                ))}
            </SimpleGrid>
        </fieldset>
    );
}
