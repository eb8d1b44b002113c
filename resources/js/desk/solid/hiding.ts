import * as THREE from 'three';

/** What a node of the model says of itself: its elements and, of those, the parts that its instances and its triangles are. */
type Said = {
    elements?: string[];
    counts?: number[];
    /** the part that each instance is */
    parts?: (string | null)[];
    /** of every primitive which of its triangles are whose: a name, and how many follow */
    names?: [string | null, number][][];
};

export type HiddenParts = Map<string, Set<string>>;

/** The element of every instance of a node; where many follow that are of one they come counted. */
export function elementsOf(node: THREE.Object3D): string[] | undefined {
    const said = node.userData as Said;
    if (!said.elements || !said.counts) return said.elements;
    const counts = said.counts;
    said.elements = said.elements.flatMap((element, i) => Array<string>(counts[i] ?? 1).fill(element));
    delete said.counts;
    return said.elements;
}

const meshesOf = (node: THREE.Object3D): THREE.Mesh[] => {
    const out: THREE.Mesh[] = [];
    node.traverse((o) => {
        if (o instanceof THREE.Mesh && !o.userData.standsFor) out.push(o);
    });
    return out;
};

/** Shows of a node what is not hidden: whole elements, or parts of them. */
export function showNode(node: THREE.Object3D, elements: string[], hidden: Set<string>, parts: HiddenParts): void {
    const said = node.userData as Said;
    for (const [k, mesh] of meshesOf(node).entries()) {
        const gone = (i: number) => {
            const element = elements[i] ?? '';
            const part = said.parts?.[i];
            return hidden.has(element) || (part != null && (parts.get(element)?.has(part) ?? false));
        };
        if (mesh instanceof THREE.InstancedMesh) showInstances(mesh, elements, gone, said.names?.[k], parts);
        else {
            mesh.visible = !gone(0);
            const without = said.names?.[k] && parts.get(elements[0] ?? '');
            if (without || mesh.userData.whole) mesh.geometry = lessParts(mesh, said.names?.[k] ?? [], without ?? new Set());
        }
    }
}

function showInstances(
    mesh: THREE.InstancedMesh,
    elements: string[],
    gone: (i: number) => boolean,
    names: [string | null, number][] | undefined,
    parts: HiddenParts,
): void {
    const kept = (mesh.userData.matrices ??= mesh.instanceMatrix.array.slice()) as Float32Array;
    mesh.instanceMatrix.array.set(kept);
    for (const stand of (mesh.userData.stands ?? []) as THREE.Mesh[]) {
        stand.removeFromParent();
        stand.geometry.dispose();
    }
    mesh.userData.stands = [];
    elements.forEach((element, i) => {
        const without = names && parts.get(element);
        if (without && !gone(i)) {
            // of instances that share a geometry only this one is without them: something of its own stands for it
            const stand = new THREE.Mesh(lessParts(mesh, names, without), mesh.material);
            stand.matrixAutoUpdate = false;
            stand.matrix.fromArray(kept, i * 16);
            stand.userData = { elements: [element], standsFor: true };
            mesh.userData.stands.push(stand);
            mesh.add(stand);
        }
        if (without || gone(i)) mesh.instanceMatrix.array.fill(0, i * 16, i * 16 + 15);
    });
    mesh.instanceMatrix.needsUpdate = true;
    mesh.boundingSphere = null;
}

/** A mesh's geometry less the triangles of some names; the points are shared with it. */
function lessParts(mesh: THREE.Mesh, names: [string | null, number][], without: Set<string>): THREE.BufferGeometry {
    const whole = (mesh.userData.whole ??= mesh.geometry) as THREE.BufferGeometry;
    if (without.size === 0) return whole;
    const corners = whole.index!.array;
    const left: number[] = [];
    let at = 0;
    for (const [name, count] of names) {
        if (name === null || !without.has(name)) for (let i = 3 * at; i < 3 * (at + count); i++) left.push(corners[i]!);
        at += count;
    }
    const made = new THREE.BufferGeometry();
    for (const [key, attribute] of Object.entries(whole.attributes)) made.setAttribute(key, attribute);
    made.setIndex(left);
    return made;
}
