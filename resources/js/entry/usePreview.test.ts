// @vitest-environment jsdom
import { act, renderHook, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { serve } from '../../../tests/screen';
import { usePreview } from './usePreview';

const preview = (body: unknown) => ({
    music: `<score>${(body as { shorthand: string }).shorthand}</score>`,
    errors: [],
    checks: [],
    spans: [],
    measures: 1,
});

describe('the music of what is typed', () => {
    it('is that of the text it names, from the first', async () => {
        serve({ 'POST /shorthand': preview });
        const { result } = renderHook(() => usePreview('R: q1'));
        await waitFor(() => expect(result.current.text).toBe('R: q1'));
        expect(result.current.preview?.music).toBe('<score>R: q1</score>');
    });

    it('is asked for once for a text, however often it is looked at', async () => {
        const asked = serve({ 'POST /shorthand': preview });
        const { result } = renderHook(() => usePreview('R: q1'));
        await act(async () => {
            result.current.look('R: q1 2');
            result.current.look('R: q1 2');
        });
        await waitFor(() => expect(result.current.text).toBe('R: q1 2'));
        expect(asked.map((one) => (one.body as { shorthand: string }).shorthand)).toEqual(['R: q1', 'R: q1 2']);
    });

    it('leaves the last music in sight when the server is not there, and tries the same text again', async () => {
        let broken = false;
        const asked = serve({
            'POST /shorthand': (body) => (broken ? Response.json({ message: 'no' }, { status: 500 }) : preview(body)),
        });
        const { result } = renderHook(() => usePreview('R: q1'));
        await waitFor(() => expect(result.current.preview).not.toBeNull());
        broken = true;
        await act(async () => result.current.look('R: q1 2'));
        await waitFor(() => expect(result.current.error).not.toBeNull());
        expect(result.current.preview?.music).toBe('<score>R: q1</score>');
        broken = false;
        await act(async () => result.current.look('R: q1 2'));
        await waitFor(() => expect(result.current.text).toBe('R: q1 2'));
        expect(result.current.error).toBeNull();
        expect(asked).toHaveLength(3);
    });
});
