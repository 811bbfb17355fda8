// Reads MusicXML files with the engraver and prints what it has to say: node verovio.mjs FILE …
import { readFileSync } from 'node:fs';
import { VerovioToolkit } from 'verovio/esm';
import createModule from 'verovio/wasm';

const said = [];
console.error = (line) => said.push(line);
console.warn = console.error;
const toolkit = new VerovioToolkit(await createModule());
toolkit.setOptions({ breaks: 'encoded', header: 'none', footer: 'none', adjustPageHeight: true });
const results = process.argv.slice(2).map((file) => {
    said.length = 0;
    const music = readFileSync(file, 'utf8');
    const read = Boolean(toolkit.loadData(music));
    const svg = read ? toolkit.renderToSVG(1) : '';
    // A page of one line has no line break to keep.
    const words = [...said, toolkit.getLog()].join('\n').split('\n');
    const lost = [...music.matchAll(/<note id="([^"]+)"/g)].filter(([, id]) => !svg.includes(`id="${id}"`)).map(([, id]) => id);
    return { read, lost, log: words.filter((line) => line.trim() !== '' && !line.includes('encoded breaks but nothing provided')) };
});
console.log(JSON.stringify(results));
