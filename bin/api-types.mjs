// Makes the front end's types from the API's own description: node bin/api-types.mjs storage/api.json resources/js/api/generated.d.ts
import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';

const [from, to] = process.argv.slice(2);
JSON.parse(readFileSync(from, 'utf8'));
const nodes = await openapiTS(pathToFileURL(resolve(from)), {
    propertiesRequiredByDefault: false,
    defaultNonNullable: true,
    transform: (schema) =>
        schema.format === 'binary'
            ? ts.factory.createTypeReferenceNode(ts.factory.createIdentifier('Blob'))
            : undefined,
});
writeFileSync(to, `/* Made by bin/api-types.mjs. */\n${astToString(nodes)}`);
