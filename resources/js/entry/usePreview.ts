import { useEffect, useState } from 'react';
import { type Api, ask } from '../shared/api';
import { Newest } from '../shared/newest';

export type Preview = Api['PreviewResource'];

/** What the core makes of the text, as it is typed; the newest text that has come back, and the text it belongs to. */
export function usePreview(text: string) {
    const [lane] = useState(() => new Newest((shorthand: string) => ask<Preview>('POST', '/shorthand', { shorthand })));
    const [state, setState] = useState<{ text: string; preview: Preview | null; error: unknown }>({
        text: '',
        preview: null,
        error: null,
    });
    useEffect(() => {
        let gone = false;
        lane.give(text).then(
            (preview) => !gone && preview !== null && setState({ text, preview, error: null }),
            (error) => !gone && setState((before) => ({ ...before, error })),
        );
        return () => {
            gone = true;
        };
    }, [lane, text]);
    return state;
}
