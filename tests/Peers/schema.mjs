// Reads documents and answers, for each, with what ajv says of it by the published schema: an empty list when it is valid.
import { readFileSync } from 'node:fs';
import { URL } from 'node:url';
import Ajv2020 from 'ajv/dist/2020.js';

const schema = JSON.parse(readFileSync(new URL('../../public/schemas/unit-types.schema.json', import.meta.url), 'utf8'));
const validate = new Ajv2020({ allErrors: true, strict: true, strictRequired: false, strictTypes: false }).compile(schema);
const documents = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(JSON.stringify(documents.map((d) => (validate(d) ? [] : validate.errors.map((e) => `${e.instancePath} ${e.message}`)))));
