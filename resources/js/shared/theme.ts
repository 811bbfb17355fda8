import { type CSSVariablesResolver, createTheme, type MantineColorsTuple } from '@mantine/core';
import type { MouseEvent } from 'react';
import { t } from '../text';

const ink: MantineColorsTuple = [
    '#f7f1e5',
    '#ece4d3',
    '#d9cdb6',
    '#bfb096',
    '#94866e',
    '#6b5f4b',
    '#544a3a',
    '#3f372b',
    '#2b251d',
    '#1d1812',
];
const leaf: MantineColorsTuple = [
    '#eef5ea',
    '#d9e8d2',
    '#b6d2aa',
    '#8fba80',
    '#6ba259',
    '#4f8c3f',
    '#3f7d3a',
    '#2f642c',
    '#254f23',
    '#1a3919',
];
const flower: MantineColorsTuple = [
    '#fdf0e6',
    '#f9dcc4',
    '#f2b88a',
    '#e9924f',
    '#df7524',
    '#c85f10',
    '#b04f08',
    '#903f05',
    '#6f3104',
    '#4d2203',
];
const teal: MantineColorsTuple = [
    '#e6f3f3',
    '#c9e4e4',
    '#98caca',
    '#62adae',
    '#359293',
    '#167a7c',
    '#0b6668',
    '#075153',
    '#053e40',
    '#032b2c',
];

/** Paper and ink, one orange, one green, one teal. The right hand is orange, the left hand teal, everywhere. */
export const theme = createTheme({
    colors: { ink, leaf, flower, teal, gray: ink },
    primaryColor: 'leaf',
    primaryShade: 6,
    autoContrast: true,
    luminanceThreshold: 0.25,
    black: ink[8],
    fontFamily: "'Source Sans 3 Variable', system-ui, sans-serif",
    fontSizes: { xs: '0.82rem', sm: '0.93rem', md: '1.05rem', lg: '1.16rem', xl: '1.3rem' },
    headings: { fontFamily: "'Fraunces Variable', Georgia, serif", fontWeight: '600' },
    defaultRadius: 'md',
    cursorType: 'pointer',
    focusRing: 'auto',
    components: {
        // A figure that cannot be is refused with what may be, and not bent while she looks elsewhere.
        NumberInput: { defaultProps: { clampBehavior: 'none' } },
        // Typed letters find an option; no keyboard comes up over a list on a tablet, unless it is a long one.
        Select: {
            defaultProps: {
                searchable: true,
                selectFirstOptionOnChange: true,
                nothingFoundMessage: t('Nothing has these letters'),
                inputMode: 'none',
                openOnFocus: false,
                // What is chosen is typed over.
                onClick: (event: MouseEvent<HTMLInputElement>) => event.currentTarget.select(),
            },
        },
    },
});

/** The colours that the styles name, by day and by night: they stand here alone. A piano stays a piano at night. */
export const tokens: CSSVariablesResolver = () => ({
    variables: {
        '--key': '#fffdf8',
        '--key-black': ink[8],
        '--key-right': flower[6],
        '--key-left': teal[6],
        '--key-name': '#5a4f40',
        '--key-faint': ink[6],
        '--key-lit': leaf[1],
        '--key-lit-black': leaf[6],
    },
    light: {
        '--paper': ink[0],
        '--sheet': '#fffdf8',
        '--ink': ink[8],
        '--faint': '#655a47',
        '--rule': ink[2],
        '--right': flower[6],
        '--left': teal[6],
        '--leaf': leaf[6],
        '--leaf-soft': leaf[1],
        '--thorn': '#a3252b',
    },
    dark: {
        '--paper': ink[9],
        '--sheet': '#28221a',
        '--ink': '#f2e9d8',
        '--faint': '#c0b39b',
        '--rule': '#4b4132',
        '--right': '#f0a469',
        '--left': '#6cc0c1',
        '--leaf': leaf[3],
        '--leaf-soft': '#2f4a2b',
        '--thorn': '#ef9a9e',
    },
});
