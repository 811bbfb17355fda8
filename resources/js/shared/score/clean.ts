import createDOMPurify from 'dompurify';

/** Signs of the engraver's font are drawn once and used by their name, in the same drawing. */
const USED = /^#[\w.-]+$/;

/** Of a fill or a style: anything but a part of the same drawing. */
const FETCHES = /url\((?!\s*["']?#)/i;

let purifier: ReturnType<typeof createDOMPurify> | null = null;

function thePurifier(): ReturnType<typeof createDOMPurify> {
    if (purifier === null) {
        purifier = createDOMPurify(window);
        purifier.addHook('uponSanitizeAttribute', (node, attribute) => {
            const isLink = attribute.attrName === 'href' || attribute.attrName === 'xlink:href';
            if (!isLink) {
                attribute.keepAttr = !FETCHES.test(attribute.attrValue);
                return;
            }
            if (node.nodeName.toLowerCase() === 'use' && USED.test(attribute.attrValue)) attribute.forceKeepAttr = true;
            else attribute.keepAttr = false;
        });
        // Fonts stand in the drawing itself; a style fetches nothing.
        purifier.addHook('uponSanitizeElement', (node, data) => {
            if (data.tagName === 'style' && /@import|url\((?!\s*["']?data:)/i.test(node.textContent ?? ''))
                node.textContent = '';
        });
    }
    return purifier;
}

/** A drawing of music without anything that runs, leads elsewhere or fetches: nothing in a piece can act in the page. */
export function cleanDrawing(svg: string): string {
    return thePurifier().sanitize(svg, {
        USE_PROFILES: { svg: true },
        ADD_TAGS: ['use'],
        FORBID_TAGS: ['a', 'image', 'foreignObject', 'animate', 'set', 'script'],
    });
}
