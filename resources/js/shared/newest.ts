/** Does one thing at a time, and of what waits only the newest; so that a quick hand never queues up work. */
export class Newest<Order, Result> {
    private busy = false;
    private next: { order: Order; done: (result: Result | null) => void; failed: (error: unknown) => void } | null =
        null;

    constructor(private readonly work: (order: Order) => Promise<Result>) {}

    /** @returns null when something newer has taken its place */
    give(order: Order): Promise<Result | null> {
        return new Promise((done, failed) => {
            this.next?.done(null);
            this.next = { order, done, failed };
            if (!this.busy) void this.run();
        });
    }

    private async run(): Promise<void> {
        this.busy = true;
        while (this.next !== null) {
            const { order, done, failed } = this.next;
            this.next = null;
            try {
                done(await this.work(order));
            } catch (error) {
                failed(error);
            }
        }
        this.busy = false;
    }
}
