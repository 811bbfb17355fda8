import { Group, Modal } from '@mantine/core';
import type { ReactNode } from 'react';
import { t } from '../text';

interface Props {
    opened?: boolean;
    title: ReactNode;
    size?: string;
    onClose: () => void;
    children: ReactNode;
}

/** A dialog: its heading is no banner of the page, and closing it has a name. */
export function Dialog({ opened = true, title, size = 'md', onClose, children }: Props) {
    return (
        <Modal.Root opened={opened} onClose={onClose} size={size}>
            <Modal.Overlay />
            <Modal.Content>
                <Group justify="space-between" wrap="nowrap" px="md" pt="md" pb="xs">
                    <Modal.Title fw={700} fz="lg" ff="heading">
                        {title}
                    </Modal.Title>
                    <Modal.CloseButton aria-label={t('Close')} />
                </Group>
                <Modal.Body>{children}</Modal.Body>
            </Modal.Content>
        </Modal.Root>
    );
}
