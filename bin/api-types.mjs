// Makes the front end's types from the API's own description: node bin/api-types.mjs storage/api.json resources/js/api/generated.d.ts
import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';

const [from, to] = process.argv.slice(2);
const nodes = await openapiTS(pathToFileURL(resolve(from)), {
    propertiesRequiredByDefault: false,
    defaultNonNullable: true,
    transform: (schema) =>
        schema.format === 'binary'
            ? ts.factory.createTypeReferenceNode(ts.factory.createIdentifier('Blob'))
            : undefined,
});
writeFileSync(to, `/* Made by bin/api-types.mjs. */\n${astToString(nodes)}`);

// Sets that are chosen from, with their words.
const { 'x-choices': sets, 'x-endings': endings } = JSON.parse(readFileSync(from, 'utf8'));
const facts = ([first]) =>
    Object.keys(first)
        .filter((key) => key !== 'value' && key !== 'label')
        .map((key) => ` & { ${key}: boolean }`)
        .join('');
const types = Object.entries(sets).map(
    ([name, set]) => `    ${name}: (Choice<components['schemas']['${name}']>${facts(set)})[];`,
);
writeFileSync(
    to.replace('generated.d.ts', 'choices.generated.ts'),
    `/* Made by bin/api-types.mjs. */
import type { components } from './generated';

export interface Choice<Value> {
    value: Value;
    label: string;
}

export const choices: {
${types.join('\n')}
} = ${JSON.stringify(sets, null, 4)};

/** How files of music that can be read are called. */
export const musicEndings = ${JSON.stringify(endings)};
`,
);
