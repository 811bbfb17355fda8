import { useCallback, useEffect, useRef, useState } from 'react';
import { type Api, ask } from '../api';
import { Newest } from '../shared/newest';

export type Preview = Api['PreviewResource'];

/**
 * What the core makes of the text, as it is typed; the newest text that has come back, and the text it belongs to.
 * `look` is told each text at once, before the screen is drawn anew.
 */
export function usePreview(begin: string) {
    const [lane] = useState(
        () => new Newest((shorthand: string) => ask('post', '/shorthand', { body: { shorthand } })),
    );
    const [state, setState] = useState<{ text: string; preview: Preview | null; error: unknown }>({
        text: '',
        preview: null,
        error: null,
    });
    const looked = useRef<string | null>(null);
    const look = useCallback(
        (text: string) => {
            if (looked.current === text) return;
            looked.current = text;
            lane.give(text).then(
                (preview) => preview !== null && setState({ text, preview, error: null }),
                (error) => {
                    looked.current = null;
                    setState((before) => ({ ...before, error }));
                },
            );
        },
        [lane],
    );
    useEffect(() => look(begin), [look, begin]);
    return { ...state, look };
}
