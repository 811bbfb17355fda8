import { Anchor, Button, FileButton, Group, Text, TextInput, Title } from '@mantine/core';
import { memo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { musicEndings } from '../api';
import { t } from '../text';
import styles from './EntryHead.module.css';
import type { Kept } from './useDraft';

interface Props {
    title: string;
    /** The book and page it stands in. */
    where: string;
    kept: Kept;
    label: string;
    onLabel: (label: string) => void;
    onFile: (file: File | null) => void;
    onSave: () => void;
    saving: boolean;
    ready: boolean;
    /** The page of a new piece; null for a correction. */
    pageId: number | null;
    /** More buttons. */
    more: ReactNode;
}

const KEPT: Record<Kept, string> = {
    kept: t('Kept'),
    going: t('Keeping…'),
    here: t('Kept on this device'),
    apart: t('Changed in two windows'),
};

export const EntryHead = memo(function EntryHead({
    title,
    where,
    kept,
    label,
    onLabel,
    onFile,
    onSave,
    saving,
    ready,
    pageId,
    more,
}: Props) {
    return (
        <Group justify="space-between" wrap="nowrap">
            <div>
                <Title order={1} fz={24}>
                    {title}
                </Title>
                <Text size="sm" className="faint">
                    <Anchor component={Link} to="/books" c="inherit" fz="sm">
                        {where || t('Books')}
                    </Anchor>
                    {' · '}
                    <span role="status">{KEPT[kept]}</span>
                </Text>
            </div>
            <Group gap="xs" wrap="nowrap">
                <TextInput
                    aria-label={t('Letter of the piece, where the page has several')}
                    placeholder="A, B…"
                    w={70}
                    maxLength={4}
                    value={label}
                    onChange={(event) => onLabel(event.currentTarget.value)}
                />
                <FileButton onChange={onFile} accept={musicEndings.join()}>
                    {(props) => (
                        <Button {...props} variant="default">
                            {t('From a file')}
                        </Button>
                    )}
                </FileButton>
                {pageId !== null && (
                    <Button variant="default" component={Link} to={`/pages/${pageId}/photo`}>
                        {t('From a photo')}
                    </Button>
                )}
                {more}
                <Button onClick={onSave} loading={saving} disabled={!ready}>
                    {t('Save')} <kbd className={styles.key}>{t('Ctrl Enter')}</kbd>
                </Button>
            </Group>
        </Group>
    );
});
