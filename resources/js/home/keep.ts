/**
 * Makes the home side an application of its own: its manifest, and a worker that keeps it for when there is no
 * connection. Where a browser has no workers it goes without.
 */
export function keepHome(token: string): () => void {
    const link = document.createElement('link');
    link.rel = 'manifest';
    link.href = `/home/${token}/app.webmanifest`;
    document.head.append(link);
    keepFiles().catch(() => undefined);
    return () => link.remove();
}

async function keepFiles(): Promise<void> {
    if (!('serviceWorker' in navigator)) return;
    // The engraver's own script lies with the other files, so its fetch is outside the addresses of the home side.
    await navigator.serviceWorker.register('/home-keeper.js', { scope: '/' });
    const ready = await navigator.serviceWorker.ready;
    const files = await fetch('/home/files.json');
    const { keep, later } = (await files.json()) as { keep: string[]; later: string[] };
    ready.active?.postMessage({ keep: [location.pathname, ...keep], later });
}
