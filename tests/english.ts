/* Texts are written with British words, and tests read them so, whatever the browser that draws them speaks. */
globalThis.navigator ??= {} as Navigator;
Object.defineProperty(globalThis.navigator, 'language', { value: 'en-GB', configurable: true });
