import { Button, Menu } from '@mantine/core';
import { t } from '../text';

const FORMATS = [
    { name: 'MusicXML', query: 'format=musicxml' },
    { name: t('MusicXML, compressed'), query: 'format=mxl' },
    { name: 'MIDI', query: 'format=mid' },
    { name: t('MIDI with a count-in'), query: 'format=mid&countIn=1' },
    { name: 'Shorthand', query: 'format=txt' },
];

/** The piece as a file to keep. */
export function PieceFiles({ pieceId }: { pieceId: number }) {
    return (
        <Menu>
            <Menu.Target>
                <Button variant="default">{t('Download')}</Button>
            </Menu.Target>
            <Menu.Dropdown>
                {FORMATS.map(({ name, query }) => (
                    <Menu.Item key={query} component="a" href={`/api/pieces/${pieceId}/file?${query}`} download>
                        {name}
                    </Menu.Item>
                ))}
            </Menu.Dropdown>
        </Menu>
    );
}
