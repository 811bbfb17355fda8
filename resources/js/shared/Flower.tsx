import type { Api } from '../api';
import { t } from '../text';

type Petal = Api['PetalResource'];

function words(petal: Petal): string {
    if (petal.stages === 0) return t('{{name}}: not on this page', { name: petal.name });
    return petal.passed === petal.stages
        ? t('{{name}}: open', { name: petal.name })
        : t('{{name}}: {{passed}} of {{stages}}', { name: petal.name, passed: petal.passed, stages: petal.stages });
}

/** A page as a flower of five petals; a petal opens as its stages pass, and the finished page is in bloom. */
export function Flower({ petals, finished, size = 64 }: { petals: Petal[]; finished: boolean; size?: number }) {
    const label = `${finished ? t('In bloom. ') : ''}${petals.map(words).join('; ')}`;
    return (
        <svg viewBox="0 0 100 100" width={size} height={size} role="img" aria-label={label}>
            <title>{label}</title>
            {petals.map((petal, i) => {
                const open = petal.stages > 0 && petal.passed === petal.stages;
                const part = petal.stages === 0 ? 0 : petal.passed / petal.stages;
                return (
                    <g key={petal.name} transform={`rotate(${72 * i} 50 50)`}>
                        <path
                            d="M50 46 C34 38 34 10 50 6 C66 10 66 38 50 46 Z"
                            fill={open ? 'var(--right)' : 'var(--sheet)'}
                            stroke={petal.stages === 0 ? 'var(--rule)' : 'var(--right)'}
                            strokeWidth="2"
                            strokeDasharray={petal.stages === 0 ? '3 3' : undefined}
                        />
                        {!open && part > 0 && (
                            <path
                                d="M50 44 C38 38 38 16 50 12 C62 16 62 38 50 44 Z"
                                fill="var(--right)"
                                opacity="0.45"
                                transform={`translate(50 44) scale(${0.4 + 0.6 * part}) translate(-50 -44)`}
                            />
                        )}
                    </g>
                );
            })}
            <circle
                cx="50"
                cy="50"
                r="8"
                fill={finished ? 'var(--leaf)' : 'var(--paper)'}
                stroke="var(--leaf)"
                strokeWidth="2"
            />
        </svg>
    );
}
