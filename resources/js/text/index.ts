import { createInstance } from 'i18next';
import american from '../../words/en-US.json';

type Words = 'uk' | 'us';

/** The varieties of English a studio may use, by their files in resources/words; another language is another file. */
const VARIETIES: Record<Words, string> = { uk: 'en-GB', us: 'en-US' };

const KEPT = 'nasturtium.words';

/** The home side of one studio and the rooms of another may be open on one device. */
const place = () => (location.pathname.startsWith('/home/') ? `${KEPT}.home` : KEPT);

function kept(): Words {
    try {
        const said = localStorage.getItem(place());
        if (said === 'us' || said === 'uk') return said;
    } catch {
        // Nothing is kept on this device: the browser's own language decides.
    }
    return navigator.language === 'en-US' ? 'us' : 'uk';
}

/** Whose words are said, from the first text on. */
export const words: Words = kept();

/** As a page names its language. */
export const language = VARIETIES[words];

const texts = createInstance();

// A text is its own key and stands in the code in British English; resources/words/en-GB.json lists them all.
texts.init({
    lng: language,
    fallbackLng: false,
    resources: { [VARIETIES.us]: { translation: american } },
    initAsync: false,
    keySeparator: false,
    nsSeparator: false,
    interpolation: { escapeValue: false },
});

/** A text in the words of the studio, with what is to stand in its {{places}}. */
export function t(text: string, values: Record<string, string | number | null | undefined> = {}): string {
    return texts.t(text, values);
}

/** Takes the words that the studio has. Texts are read when a script is loaded, so the page is loaded again where they are others. */
export function speak(studio: Words): void {
    if (studio === words) return;
    try {
        localStorage.setItem(place(), studio);
    } catch {
        // Without a place to keep them, the page would be loaded again for ever.
        return;
    }
    location.reload();
}
