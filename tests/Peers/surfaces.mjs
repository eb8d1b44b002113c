// Reads stretches and points, and answers with where the interface puts them: resources/js/desk/surface.ts itself, its types taken off.
import { readFileSync } from 'node:fs';
import { Buffer } from 'node:buffer';
import { URL } from 'node:url';
import ts from 'typescript';

const source = readFileSync(new URL('../../resources/js/desk/surface.ts', import.meta.url), 'utf8');
const { outputText } = ts.transpileModule(source, { compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022 } });
const surface = await import(`data:text/javascript;base64,${Buffer.from(outputText).toString('base64')}`);

const cases = JSON.parse(readFileSync(process.argv[2], 'utf8'));
console.log(
    JSON.stringify(
        cases.map(({ wall, u, depth, through, direction }) => {
            const placed = surface.standing(wall);
            const [from, to] = [
                { x: wall.fromX, y: wall.fromY },
                { x: wall.toX, y: wall.toY },
            ];
            const at = surface.inPlan(placed, u, depth);
            return {
                length: placed.length,
                at,
                back: surface.onWall(placed, at),
                along: surface.tangent(placed, u),
                through: surface.riseThrough(from, to, through),
                on: surface.riseTangent(from, direction, to),
            };
        }),
    ),
);
