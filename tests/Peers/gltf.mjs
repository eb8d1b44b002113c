// What gltf-validator says of a GLB file.
import { readFileSync } from 'node:fs';
import validator from 'gltf-validator';

const report = await validator.validateBytes(new Uint8Array(readFileSync(process.argv[2])));
console.log(JSON.stringify({ issues: report.issues, info: report.info }));
