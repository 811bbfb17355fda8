import { Select } from '@mantine/core';
import { useMemo } from 'react';
import { t } from '../text';

export const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The country that the browser speaks for, as `en-GB` says GB. */
export const ownCountry = new Intl.Locale(navigator.language).region ?? '';

interface Props {
    codes: readonly string[];
    value: string;
    set: (code: string) => void;
}

/** What the country decides can be changed later, under Studio. */
export function CountrySelect({ codes, value, set }: Props) {
    const data = useMemo(() => {
        const names = new Intl.DisplayNames([navigator.language, 'en'], { type: 'region' });
        return codes
            .map((code) => ({ value: code, label: names.of(code) ?? code }))
            .sort((a, b) => a.label.localeCompare(b.label));
    }, [codes]);
    return (
        <Select
            label={t('Country')}
            description={t('It sets the time zone, the paper, and US or UK words of music. You can change each later.')}
            required
            searchable
            inputMode="search"
            value={codes.includes(value) ? value : null}
            onChange={(code) => set(code ?? '')}
            data={data}
        />
    );
}
