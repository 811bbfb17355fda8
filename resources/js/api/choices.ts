import { t } from '../text';
import { choices as british } from './choices.generated';

/** Sets that are chosen from, with their words as the studio says them. */
export const choices = Object.fromEntries(
    Object.entries(british).map(([name, set]) => [name, set.map((one) => ({ ...one, label: t(one.label) }))]),
) as typeof british;
