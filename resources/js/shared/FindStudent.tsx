import { Group, Text, TextInput } from '@mantine/core';
import { type ReactNode, useRef, useState } from 'react';
import { t } from '../text';
import { useKeys } from './keys';

/** As many are seen at a glance. */
const MANY = 12;

/** Whether a name is meant by what is typed: each word begins one of its words, whatever the accents. */
export function isMeant(name: string, typed: string): boolean {
    const words = (text: string) =>
        text
            .normalize('NFD')
            .replace(/\p{M}/gu, '')
            .toLowerCase()
            .split(/\s+/)
            .filter((word) => word !== '');
    return words(typed).every((start) => words(name).some((word) => word.startsWith(start)));
}

/** The rows that are meant, and the field to say so; there is none where all are seen at a glance. */
export function useFind<Row>(rows: Row[], nameOf: (row: Row) => string): [Row[], ReactNode] {
    const [typed, setTyped] = useState('');
    const field = useRef<HTMLInputElement>(null);
    const many = rows.length > MANY;
    useKeys(many ? [{ key: '/', does: t('find a student'), run: () => field.current?.focus() }] : []);
    if (!many) return [rows, null];
    const found = rows.filter((row) => isMeant(nameOf(row), typed));
    return [
        found,
        <Group key="find" gap="sm">
            <TextInput
                ref={field}
                aria-label={t('Find a student (/)')}
                placeholder={t('Find a student (/)')}
                value={typed}
                onChange={(event) => setTyped(event.currentTarget.value)}
                onKeyDown={(event) => {
                    if (event.key !== 'Escape') return;
                    setTyped('');
                    event.currentTarget.blur();
                }}
            />
            <Text size="sm" className="faint" role="status">
                {typed.trim() === ''
                    ? ''
                    : found.length === 0
                      ? t('nobody of {{rows}}', { rows: rows.length })
                      : t('{{found}} of {{rows}}', { found: found.length, rows: rows.length })}
            </Text>
        </Group>,
    ];
}
