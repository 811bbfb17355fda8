declare module 'verovio/wasm' {
    export default function createModule(): Promise<unknown>;
}

declare module 'verovio/esm' {
    export const LOG_OFF: number;
    export function enableLog(level: number, module: unknown): void;

    export class VerovioToolkit {
        constructor(module: unknown);
        setOptions(options: Record<string, unknown>): void;
        select(selection: Record<string, unknown>): boolean;
        loadData(data: string): boolean;
        renderToSVG(page: number): string;
    }
}
