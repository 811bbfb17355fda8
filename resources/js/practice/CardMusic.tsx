import { useEffect, useState } from 'react';
import { engraved } from '../shared/score/engraved';
import { t } from '../text';
import styles from './Practice.module.css';

interface Props {
    music: string;
    onDrawn: () => void;
}

/** A card’s music, as large as there is room; it says when it stands there. */
export function CardMusic({ music, onDrawn }: Props) {
    const [svg, setSvg] = useState<string | null>(null);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
        let gone = false;
        setSvg(null);
        engraved(music).then(
            (drawing) => !gone && setSvg(drawing),
            () => !gone && setFailed(true),
        );
        return () => {
            gone = true;
        };
    }, [music]);
    useEffect(() => {
        if (svg !== null) onDrawn();
    }, [svg, onDrawn]);
    if (failed) return <p role="alert">{t('The music could not be engraved. Go back and try again.')}</p>;
    return (
        <div
            className={`score ${styles.music}`}
            role="img"
            aria-label={t('The music of the card')}
            // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the engraver from the product's own MusicXML
            dangerouslySetInnerHTML={{ __html: svg ?? '' }}
        />
    );
}
