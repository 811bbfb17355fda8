import {
    createContext,
    type KeyboardEvent as ReactKeyboardEvent,
    type ReactNode,
    useContext,
    useEffect,
    useMemo,
    useRef,
    useState,
} from 'react';

export interface Key {
    /** As `KeyboardEvent.key` has it; an arrow with shift as `Shift+ArrowRight`. */
    key: string;
    /** What it does, for the list of shortcuts. */
    does: string;
    run: () => void;
    /** A button or a link that has the focus takes it first. */
    leavesButtons?: boolean;
}

/** Whose keys they are: those of every room stand back behind those of the room that is open. */
export type Layer = 'everywhere' | 'room';

interface Keys {
    register: (keys: Key[], layer: Layer) => () => void;
    listed: () => Key[];
}

const Context = createContext<Keys | null>(null);

/** Whether a key press belongs to something that is being typed in, or is a browser shortcut. */
export function isTyping(event: Pick<KeyboardEvent, 'target' | 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): boolean {
    if (event.ctrlKey || event.metaKey || event.altKey) return true;
    const target = event.target as HTMLElement | null;
    // What is chosen by arrows or ticked by the space key takes no other key.
    if (target?.matches?.('input[type="radio"], input[type="checkbox"]')) {
        return event.key.startsWith('Arrow') || event.key === ' ' || target.closest('[role="dialog"]') !== null;
    }
    return target?.closest?.('input, textarea, select, [contenteditable], [role="dialog"], [role="listbox"]') != null;
}

/** Letters say by themselves whether shift is held; arrows do not. */
export function nameOf(event: Pick<KeyboardEvent, 'key' | 'shiftKey'>): string {
    return event.shiftKey && event.key.startsWith('Arrow') ? `Shift+${event.key}` : event.key;
}

/** Arrows that go from one to the next within a group are no keys of the room. */
export function stepAside(event: Pick<ReactKeyboardEvent, 'key' | 'shiftKey' | 'stopPropagation'>): void {
    if (event.key.startsWith('Arrow') && !event.shiftKey) event.stopPropagation();
}

export function KeysProvider({ children }: { children: ReactNode }) {
    const groups = useRef({ everywhere: new Set<Key[]>(), room: new Set<Key[]>() });
    // What came last has the first word on a key; keys of every room may come again while a room is open.
    const inOrder = useRef(() => [...groups.current.everywhere, ...groups.current.room].flat());
    const keys = useMemo<Keys>(
        () => ({
            register: (group, layer) => {
                groups.current[layer].add(group);
                return () => groups.current[layer].delete(group);
            },
            listed: () => [...new Map(inOrder.current().map((key) => [key.key, key])).values()],
        }),
        [],
    );
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            if (isTyping(event)) return;
            const found = inOrder.current().findLast((key) => key.key === nameOf(event));
            if (found?.leavesButtons && (event.target as HTMLElement).closest?.('button, a[href]') != null) return;
            if (found !== undefined) {
                event.preventDefault();
                found.run();
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, []);
    return <Context value={keys}>{children}</Context>;
}

/** Puts keys in force while the component is on the screen. */
export function useKeys(keys: Key[], layer: Layer = 'room'): void {
    const context = useContext(Context);
    const latest = useRef(keys);
    latest.current = keys;
    const names = keys.map((key) => `${key.key} ${key.does}`).join('|');
    // biome-ignore lint/correctness/useExhaustiveDependencies: registered anew only when the keys themselves change
    useEffect(() => {
        const group = latest.current.map((key, i) => ({ ...key, run: () => latest.current[i]?.run() }));
        return context?.register(group, layer);
    }, [context, names, layer]);
}

export function useListedKeys(): () => Key[] {
    const context = useContext(Context);
    const [fallback] = useState<() => Key[]>(() => () => []);
    return context?.listed ?? fallback;
}
