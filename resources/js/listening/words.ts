import type { Api } from '../api';
import { t } from '../text';

/** A take in one line, as the teacher reads it. */
export function heardWords(take: Api['TakeResource']): string {
    const said = [
        ...(take.clean ? [t('clean')] : []),
        ...(take.faults > 0 ? [t('{{faults}} wrong or missed', { faults: take.faults })] : []),
        ...(!take.clean && take.faults + take.stalls + take.restarts === 0 ? [t('not all of it was heard')] : []),
        ...(take.stalls > 0
            ? [take.stalls === 1 ? t('stood still once') : t('stood still {{stalls}} times', { stalls: take.stalls })]
            : []),
        ...(take.restarts > 0
            ? [
                  take.restarts === 1
                      ? t('began again once')
                      : t('began again {{restarts}} times', { restarts: take.restarts }),
              ]
            : []),
        ...(take.tempo === null ? [] : [`♩ = ${take.tempo}`]),
        ...(take.steady === null ? [] : [t('steady in {{steady}} of 100 beats', { steady: take.steady })]),
    ];
    return said.join(', ');
}
