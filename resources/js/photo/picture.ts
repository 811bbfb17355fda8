/** What the server opens as it is. */
const SENT = ['image/jpeg', 'image/png', 'application/pdf'];

/** What a file field offers; a browser that can draw other pictures has them turned into one of these. */
export const PICTURES = 'image/*,application/pdf';

/** A camera's picture is sharp enough long before this. */
const LONGEST_SIDE = 5000;

const QUALITY = 0.92;

/** Why a picture is not sent at all. */
export class NoPicture extends Error {}

/** The file as it is sent: a picture of a kind that only this browser knows, such as a phone's own, becomes a JPEG. */
export async function sendable(file: File): Promise<Blob> {
    if (SENT.includes(file.type)) return file;
    let drawn: ImageBitmap;
    try {
        drawn = await createImageBitmap(file);
    } catch {
        throw new NoPicture(file.name);
    }
    return drawnAs(drawn, drawn.width, drawn.height);
}

/** Anything that can be drawn, as a JPEG. */
export async function drawnAs(source: CanvasImageSource, width: number, height: number): Promise<Blob> {
    const scale = Math.min(1, LONGEST_SIDE / Math.max(width, height, 1));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(width * scale);
    canvas.height = Math.round(height * scale);
    canvas.getContext('2d')?.drawImage(source, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
    if (blob === null) throw new NoPicture('');
    return blob;
}
