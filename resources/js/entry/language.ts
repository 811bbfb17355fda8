import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language';
import { tags } from '@lezer/highlight';

/** The colours of the shorthand while it is typed; what it means is the core's business. */
const shorthand = StreamLanguage.define<{ music: boolean }>({
    startState: () => ({ music: false }),
    token(stream, state) {
        if (stream.sol()) {
            state.music = false;
            if (stream.match(/^\s*;.*/)) return 'comment';
            if (stream.match(/^\s*R[2-4]?(?=[:\s]|$):?/)) {
                state.music = true;
                return 'keyword';
            }
            if (stream.match(/^\s*L[2-4]?(?=[:\s]|$):?/)) {
                state.music = true;
                return 'atom';
            }
            if (stream.match(/^\s*(W(L)?[2-9]?(?=[:\s])|\w+\s*(?=:)):?/)) return 'heading';
        }
        if (!state.music) {
            stream.skipToEnd();
            return null;
        }
        if (stream.eatSpace()) return null;
        if (stream.match(/^\[[A-Za-z0-9][^\][|"]*\]/) || stream.match(/^"[^"]*"/)) return 'string';
        if (stream.match(/^(:\||\|:|\|\||\||%|=\d+(-\d+)?|\[\d)/)) return 'comment';
        if (stream.match(/^@([1-5]=)?[a-g][#b]?\d/i)) return 'string';
        if (stream.match(/^[whqvxy]\.{0,2}/)) return 'number';
        stream.next();
        return null;
    },
});

const colours = HighlightStyle.define([
    { tag: tags.keyword, class: 'cm-right' },
    { tag: tags.atom, class: 'cm-left' },
    { tag: tags.heading, class: 'cm-heading' },
    { tag: tags.number, class: 'cm-length' },
    { tag: tags.string, class: 'cm-aside' },
    { tag: tags.comment, class: 'cm-heading' },
]);

export const language = [shorthand, syntaxHighlighting(colours)];
