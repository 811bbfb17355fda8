import { useNavigate } from 'react-router';
import { useKeys } from '../shared/keys';
import { t } from '../text';
import { LENSES } from './findings/findings';
import type { DeskState } from './useDesk';

/** Every key of the desk; a capital letter lays a second lens over the first. */
export function useDeskKeys(desk: DeskState, pieceId: number, sheet: string) {
    const navigate = useNavigate();
    useKeys([
        ...LENSES.map((one) => ({
            key: one.key,
            does: t('look at: {{name}}', { name: one.label }),
            run: () => desk.look(one.name),
        })),
        ...LENSES.map((one) => ({
            key: one.key.toUpperCase(),
            does: t('lay over it: {{name}}', { name: one.label }),
            run: () => desk.lookWith(one.name),
        })),
        { key: 'j', does: t('next finding'), run: () => desk.nextFinding(1) },
        { key: 'k', does: t('finding before'), run: () => desk.nextFinding(-1) },
        { key: 'ArrowRight', does: t('next bar'), run: () => desk.stepBar(1, false) },
        { key: 'ArrowLeft', does: t('bar before'), run: () => desk.stepBar(-1, false) },
        { key: 'Shift+ArrowRight', does: t('one bar more'), run: () => desk.stepBar(1, true) },
        { key: 'Shift+ArrowLeft', does: t('one bar less'), run: () => desk.stepBar(-1, true) },
        {
            key: 'v',
            does: t('compare this bar with another'),
            run: () => desk.bar !== null && desk.compare(null, 'wanted'),
        },
        { key: 'Escape', does: t('let go of what is chosen'), run: desk.letGo },
        { key: 'e', does: t('correct the piece'), run: () => navigate(`/pieces/${pieceId}/entry`) },
        { key: 'w', does: t('what is printed'), run: () => navigate(sheet) },
    ]);
}
