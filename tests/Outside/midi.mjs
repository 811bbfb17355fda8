// Reads MIDI files with a reader of others and prints what it finds: node midi.mjs FILE …
import { readFileSync } from 'node:fs';
import { parseMidi } from 'midi-file';

console.log(
    JSON.stringify(
        process.argv.slice(2).map((file) => {
            const { header, tracks } = parseMidi(readFileSync(file));
            return {
                format: header.format,
                ticks: header.ticksPerBeat,
                tracks: tracks.map((events) => {
                    let tick = 0;
                    const found = { name: '', notes: [], ends: false };
                    const open = new Map();
                    for (const event of events) {
                        tick += event.deltaTime;
                        if (event.type === 'trackName') found.name = event.text;
                        if (event.type === 'endOfTrack') found.ends = true;
                        if (event.type === 'noteOn') open.set(event.noteNumber, tick);
                        if (event.type === 'noteOff') found.notes.push([event.noteNumber, open.get(event.noteNumber), tick]);
                    }
                    return found;
                }),
            };
        }),
    ),
);
