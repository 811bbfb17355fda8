import { Table } from '@mantine/core';
import { t } from '../text';
import styles from './Behind.module.css';

interface Props {
    what: string;
    head: string[];
    rows: (string | number)[][];
}

/** The table behind a chart: the same numbers, to be read. */
export function Behind({ what, head, rows }: Props) {
    return (
        <details>
            <summary className={`faint ${styles.summary}`}>{t('In numbers')}</summary>
            <Table fz="sm" aria-label={what}>
                <Table.Thead>
                    <Table.Tr>
                        {head.map((name) => (
                            <Table.Th key={name}>{name}</Table.Th>
                        ))}
                    </Table.Tr>
                </Table.Thead>
                <Table.Tbody>
                    {rows.map((row) => (
                        <Table.Tr key={row.join('|')}>
                            {row.map((cell, i) => (
                                <Table.Td key={head[i]}>{cell}</Table.Td>
                            ))}
                        </Table.Tr>
                    ))}
                </Table.Tbody>
            </Table>
        </details>
    );
}
