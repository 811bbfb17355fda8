import { Button, Group, Stack, Text, Textarea } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { t } from '../text';

export interface WordOfToday {
    words: string;
    /** There was no connection yet. */
    waits: boolean;
    say: (words: string) => void;
}

/** A parent writes to the teacher, apart from any task; one word a day, which can be changed. */
export function WordToTeacher({ word }: { word: WordOfToday }) {
    const [words, setWords] = useState(word.words);
    const said = word.words !== '' && words.trim() === word.words;
    const submit = (event: FormEvent) => {
        event.preventDefault();
        word.say(words.trim());
    };
    return (
        <Stack component="form" gap="xs" onSubmit={submit}>
            <Textarea
                label={t('To the teacher')}
                description={t('For instance: we are away on Thursday; the left hand made her cross.')}
                autosize
                minRows={2}
                maxLength={500}
                value={words}
                onChange={(event) => setWords(event.currentTarget.value)}
            />
            <Group>
                <Button type="submit" disabled={words.trim() === word.words}>
                    {t('Send')}
                </Button>
                <Text size="sm" role="status">
                    {said &&
                        (word.waits
                            ? t('Kept here. It goes when there is a connection.')
                            : t('Sent. The teacher reads it before the lesson.'))}
                </Text>
            </Group>
        </Stack>
    );
}
