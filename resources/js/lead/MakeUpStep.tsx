import { Button, Group, NumberInput, Text, Textarea } from '@mantine/core';
import { HandMark } from '../shared/HandMark';
import { QUIET } from '../shared/quiet';
import { t } from '../text';
import type { DraftStep } from './makeUp';
import { VoiceButton } from './VoiceButton';

interface Props {
    nth: number;
    of: number;
    step: DraftStep;
    change: (of: Partial<DraftStep>) => void;
    move: (by: 1 | -1) => void;
    remove: () => void;
}

/** A step as it is put together: what is said, how fast, how long. */
export function MakeUpStep({ nth, of, step, change, move, remove }: Props) {
    const name = t('step {{nth}}', { nth });
    return (
        <li className="sheet" aria-label={name}>
            <Head {...{ nth, of, step, name, move, remove }} />
            <Textarea
                label={t('What you say')}
                autosize
                minRows={1}
                maxLength={300}
                value={step.words}
                onChange={(event) => change({ words: event.currentTarget.value })}
            />
            <Group mt="xs" align="flex-end">
                <NumberInput
                    label={t('Minutes')}
                    w={110}
                    min={0.5}
                    max={20}
                    step={0.5}
                    value={step.halfMinutes / 2}
                    onChange={(value) =>
                        change({ halfMinutes: Math.min(40, Math.max(1, Math.round(2 * Number(value)))) })
                    }
                />
                {step.first !== null && (
                    <NumberInput
                        label={t('Tempo')}
                        w={110}
                        min={20}
                        max={400}
                        value={step.tempo ?? ''}
                        placeholder="60"
                        onChange={(value) => change({ tempo: value === '' ? null : Number(value) })}
                    />
                )}
                <VoiceButton
                    of={name}
                    stepId={step.id ?? null}
                    has={step.hasVoice}
                    voice={step.voice}
                    recorded={(voice) => change({ voice })}
                />
            </Group>
        </li>
    );
}

interface HeadProps extends Pick<Props, 'nth' | 'of' | 'step' | 'move' | 'remove'> {
    name: string;
}

/** Which step it is, where it goes, and its place among the others. */
function Head({ nth, of, step, name, move, remove }: HeadProps) {
    return (
        <Group justify="space-between">
            <Text fw={700}>
                {t('Step {{nth}}', { nth })} {step.where} {step.first !== null && <HandMark hand={step.hand ?? null} />}
            </Text>
            <Group gap={4}>
                <Button
                    {...QUIET}
                    disabled={nth === 1}
                    onClick={() => move(-1)}
                    aria-label={t('Up: {{name}}', { name })}
                >
                    ↑
                </Button>
                <Button
                    {...QUIET}
                    disabled={nth === of}
                    onClick={() => move(1)}
                    aria-label={t('Down: {{name}}', { name })}
                >
                    ↓
                </Button>
                <Button {...QUIET} onClick={remove} aria-label={t('Remove: {{name}}', { name })}>
                    {t('remove')}
                </Button>
            </Group>
        </Group>
    );
}
