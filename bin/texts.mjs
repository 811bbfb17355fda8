// Lists every text of the front end in resources/words/en-GB.json: node bin/texts.mjs; with --check it only says what is missing there.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import ts from 'typescript';

const FILE = 'resources/words/en-GB.json';
const found = new Set();

function read(path) {
    const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
    const visit = (node) => {
        if (ts.isCallExpression(node) && node.expression.getText() === 't') {
            const [text] = node.arguments;
            if (path.endsWith('api/choices.ts')) return;
            if (!ts.isStringLiteralLike(text)) throw new Error(`${path}: t() takes a text as it is written, not ${text.getText()}`);
            found.add(text.text);
        }
        ts.forEachChild(node, visit);
    };
    visit(source);
}

for (const name of readdirSync('resources/js', { recursive: true })) {
    if (/\.tsx?$/.test(name) && !/\.test\.|generated/.test(name)) read(`resources/js/${name}`);
}
// What the server's choices are called.
const choices = readFileSync('resources/js/api/choices.generated.ts', 'utf8');
for (const [, label] of choices.matchAll(/"label": "((?:[^"\\]|\\.)*)"/g)) found.add(JSON.parse(`"${label}"`));

const texts = `${JSON.stringify(Object.fromEntries([...found].sort().map((text) => [text, text])), null, 4)}\n`;
if (!process.argv.includes('--check')) writeFileSync(FILE, texts);
else if (readFileSync(FILE, 'utf8') !== texts) {
    console.error(`${FILE} is not what the screens say: run node bin/texts.mjs, and put what is said otherwise elsewhere into the other files beside it.`);
    process.exit(1);
}
