// Reads cases {mm, units} and answers with how the interface writes them: resources/js/measure/format.ts itself, its types taken off.
import { readFileSync } from 'node:fs';
import { Buffer } from 'node:buffer';
import { URL } from 'node:url';
import ts from 'typescript';

const source = readFileSync(new URL('../../resources/js/measure/format.ts', import.meta.url), 'utf8');
const { outputText } = ts.transpileModule(source, { compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022 } });
const { formatLength, formatArea, formatVolume } = await import(`data:text/javascript;base64,${Buffer.from(outputText).toString('base64')}`);

const cases = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(
    JSON.stringify(
        cases.map(({ mm, mm2, mm3, units }) => ({
            length: formatLength(mm, units),
            area: formatArea(mm2, units),
            volume: formatVolume(mm3, units),
        })),
    ),
);
