import { useNavigate } from 'react-router';
import { useKeys } from '../shared/keys';
import { LENSES } from './findings/findings';
import type { DeskState } from './useDesk';

/** Every key of the desk; a capital letter lays a second lens over the first. */
export function useDeskKeys(desk: DeskState, pieceId: number, sheet: string) {
    const navigate = useNavigate();
    useKeys([
        ...LENSES.map((one) => ({ key: one.key, does: `look at: ${one.name}`, run: () => desk.look(one.name) })),
        ...LENSES.map((one) => ({
            key: one.key.toUpperCase(),
            does: `lay over it: ${one.name}`,
            run: () => desk.lookWith(one.name),
        })),
        { key: 'j', does: 'next finding', run: () => desk.nextFinding(1) },
        { key: 'k', does: 'finding before', run: () => desk.nextFinding(-1) },
        { key: 'ArrowRight', does: 'next bar', run: () => desk.stepBar(1, false) },
        { key: 'ArrowLeft', does: 'bar before', run: () => desk.stepBar(-1, false) },
        { key: 'Shift+ArrowRight', does: 'one bar more', run: () => desk.stepBar(1, true) },
        { key: 'Shift+ArrowLeft', does: 'one bar less', run: () => desk.stepBar(-1, true) },
        {
            key: 'v',
            does: 'compare this bar with another',
            run: () => desk.bar !== null && desk.compare(null, 'wanted'),
        },
        { key: 'Escape', does: 'let go of what is chosen', run: desk.letGo },
        { key: 'e', does: 'correct the piece', run: () => navigate(`/pieces/${pieceId}/entry`) },
        { key: 'w', does: 'what is printed', run: () => navigate(sheet) },
    ]);
}
