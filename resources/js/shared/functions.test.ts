import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const MOST = 64;

/** Every source file of the front end but tests and what is generated. */
const sources = readdirSync('resources/js', { recursive: true, encoding: 'utf8' }).filter((name) =>
    /^(?!.*(\.test\.|\.d\.ts|generated)).*\.tsx?$/.test(name),
);

/** The functions of a file that are longer than they may be, with their lines. */
function longIn(name: string): string[] {
    const file = ts.createSourceFile(
        name,
        readFileSync(join('resources/js', name), 'utf8'),
        ts.ScriptTarget.Latest,
        true,
    );
    const long: string[] = [];
    const visit = (node: ts.Node) => {
        if (ts.isFunctionLike(node)) {
            const [from, to] = [node.getStart(file), node.end].map((at) => file.getLineAndCharacterOfPosition(at).line);
            const lines = (to ?? 0) - (from ?? 0) + 1;
            if (lines > MOST) long.push(`${name}, line ${(from ?? 0) + 1}: ${lines} lines`);
        }
        ts.forEachChild(node, visit);
    };
    visit(file);
    return long;
}

describe('functions', () => {
    it('are no longer than a screen, so that what they do has a name', () => {
        expect(sources.length).toBeGreaterThan(150);
        expect(sources.flatMap(longIn)).toEqual([]);
    });
});
