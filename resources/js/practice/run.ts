import type { Api } from '../api';

export type SessionData = Omit<Api['DrillSessionResource'], 'date'>;

export interface Answered {
    right: boolean;
    milliseconds: number;
}

/**
 * Runs a session: which card is next, from the answers so far. It follows the session’s own figures and decides nothing
 * itself; the core runs the same (`core/Drill/SessionRun.php`), and both are held to the same answers.
 */
export class SessionRun {
    /** Cards that are being learnt, whoever was asked longest ago first. */
    private learning: string[];
    private joining: string[];
    private known: string[];
    private readonly answers = new Map<string, Answered[]>();
    /** Cards that were missed: how often they came back, and at which card they are due. */
    private readonly returning = new Map<string, { times: number; at: number }>();
    private last: string | null = null;
    private asked = 0;
    private knownAsked = 0;
    private closed = 0;
    /** Cards that became secure in this session, and those that were met in it. */
    readonly gained: string[] = [];
    readonly met: string[] = [];

    constructor(private readonly session: SessionData) {
        this.learning = [...session.learning];
        this.joining = [...session.joining];
        this.known = [...session.known];
        for (const { card, answers } of session.before) this.answers.set(card, [...answers]);
    }

    /** The next card; null when the session has ended. */
    next(isOver = false): string | null {
        if (!isOver && this.closed === 0) {
            return (
                this.due() ??
                this.nextKnown() ??
                this.nextLearning() ??
                this.firstOf(this.known) ??
                this.firstOf(this.joining)
            );
        }
        if (this.closed >= this.session.closing) return null;
        this.closed++;
        return this.firstOf(this.known) ?? this.best();
    }

    answer(card: string, answer: Answered): void {
        this.asked++;
        if (this.known.includes(card) && this.closed === 0) this.knownAsked++;
        this.last = card;
        const all = this.answers.get(card);
        if (all === undefined) this.met.push(card);
        this.answers.set(card, [...(all ?? []), answer]);
        this.comeBack(card, answer.right);
        this.settle(card);
        const joins = this.joining[0];
        if (joins !== undefined && this.learning.every((one) => this.isReady(one))) {
            this.joining.shift();
            this.learning.unshift(joins);
        }
    }

    /** A card that nobody answered, or far too late: it goes to the end of its row and counts for nothing. */
    skip(card: string): void {
        this.last = card;
        const toEnd = (cards: string[]) =>
            cards.includes(card) ? [...cards.filter((one) => one !== card), card] : cards;
        this.learning = toEnd(this.learning);
        this.known = toEnd(this.known);
    }

    private comeBack(card: string, right: boolean): void {
        const before = this.returning.get(card);
        if (right && before === undefined) return;
        const times = right ? (before?.times ?? -1) + 1 : 0;
        this.returning.delete(card);
        const after = this.session.returns[times];
        if (after !== undefined) this.returning.set(card, { times, at: this.asked + after });
    }

    private settle(card: string): void {
        const without = (cards: string[]) => cards.filter((one) => one !== card);
        const wasKnown = this.known.includes(card);
        const isKnown = wasKnown || this.isSecure(card);
        if (isKnown && !wasKnown) this.gained.push(card);
        this.known = without(this.known);
        this.learning = without(this.learning);
        this.joining = without(this.joining);
        (isKnown ? this.known : this.learning).push(card);
    }

    private isReady(card: string): boolean {
        const { join, within } = this.session.enough;
        const last = (this.answers.get(card) ?? []).slice(-join);
        return last.length === join && last.every((one) => one.right && one.milliseconds <= within);
    }

    private isSecure(card: string): boolean {
        const { answers, right, within } = this.session.enough;
        const last = (this.answers.get(card) ?? []).slice(-answers);
        if (last.length < answers || 100 * last.filter((one) => one.right).length < right * answers) return false;
        const times = last.map((one) => one.milliseconds).sort((a, b) => a - b);
        return (times[Math.floor(times.length / 2)] ?? 0) <= within;
    }

    private due(): string | null {
        const due = [...this.returning].filter(([card, { at }]) => at <= this.asked && card !== this.last);
        due.sort(([, a], [, b]) => a.at - b.at);
        return due[0]?.[0] ?? null;
    }

    private nextKnown(): string | null {
        return 10 * this.knownAsked < this.session.share * this.asked ? this.firstOf(this.known) : null;
    }

    private nextLearning(): string | null {
        const pair = this.session.pairs.find(({ card }) => card === this.last)?.other;
        const at = pair === undefined ? -1 : this.learning.indexOf(pair);
        return pair !== undefined && at >= 0 && at < this.learning.length - 2 ? pair : this.firstOf(this.learning);
    }

    /** Where nothing is known yet, the last cards are those that went best. */
    private best(): string | null {
        let best: string | null = null;
        let most = -1;
        for (const card of this.learning) {
            const all = this.answers.get(card) ?? [];
            const wrong = all.findLastIndex((one) => !one.right);
            if (card !== this.last && all.length - 1 - wrong > most) [best, most] = [card, all.length - 1 - wrong];
        }
        return best;
    }

    private firstOf(cards: string[]): string | null {
        return (cards[0] === this.last ? cards[1] : cards[0]) ?? null;
    }
}
