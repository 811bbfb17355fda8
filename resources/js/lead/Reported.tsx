import { Text } from '@mantine/core';
import { heardWords } from '../listening/words';
import { dateOf, fullDate } from '../shared/words';
import { t } from '../text';
import type { LedLesson } from './makeUp';

/** What came back of a lesson that was sent. */
export function Reported({ lesson }: { lesson: LedLesson }) {
    if (lesson.sentAt === null) return <Text role="status">{t('Not sent yet. Home does not see it.')}</Text>;
    const date = (moment: string) => fullDate(dateOf(moment));
    return (
        <section className="sheet" aria-label={t('What was heard')}>
            <Text fw={700}>
                {lesson.doneAt === null
                    ? t('Sent on {{date}}. Not finished at home yet.', { date: date(lesson.sentAt) })
                    : t('Done at home on {{date}}.', { date: date(lesson.doneAt) })}
            </Text>
            <ol className="plain-list">
                {lesson.steps.map((step, i) => (
                    <li key={step.id}>
                        <Text size="sm">
                            {t('Step {{nth}}', { nth: i + 1 })}:{' '}
                            {step.takes.length === 0
                                ? t('nothing was heard')
                                : step.takes
                                      .map((take) => heardWords(take))
                                      .reverse()
                                      .join('; ')}
                        </Text>
                    </li>
                ))}
            </ol>
        </section>
    );
}
