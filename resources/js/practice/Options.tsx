import { t } from '../text';
import styles from './Practice.module.css';
import type { CardData, Verdict } from './useSession';

interface Props {
    card: CardData;
    verdict: Verdict | null;
    choose: (id: string) => void;
}

/** What an option is after the answer: right, chosen and not right, or neither. */
export function markOf(card: CardData, verdict: Verdict | null, id: string): 'right' | 'wrong' | undefined {
    if (verdict === null) return undefined;
    if (card.right.includes(id)) return 'right';
    return verdict.given === id ? 'wrong' : undefined;
}

/** Options to choose from, large enough for small fingers. */
export function Options({ card, verdict, choose }: Props) {
    const isShort = card.options.every((option) => option.label.length <= 3);
    return (
        // biome-ignore lint/a11y/useSemanticElements: a fieldset would draw a frame around them
        <div className={styles.options} data-short={isShort ? 'yes' : undefined} role="group" aria-label={card.ask}>
            {card.options.map((option) => {
                const mark = markOf(card, verdict, option.id);
                return (
                    <button
                        key={option.id}
                        type="button"
                        className={styles.option}
                        data-mark={mark}
                        aria-label={mark === 'right' ? t('{{label}}, right', { label: option.label }) : undefined}
                        disabled={verdict !== null}
                        onClick={() => choose(option.id)}
                    >
                        {mark === 'right' && <span aria-hidden="true">✓ </span>}
                        {option.label}
                    </button>
                );
            })}
        </div>
    );
}
