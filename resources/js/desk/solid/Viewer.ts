import * as THREE from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { GLTFLoader } from 'three/addons/loaders/GLTFLoader.js';
import type { Wall } from '../../api/client';
import { colour } from '../../ui/theme';
import { inPlan, tangent } from '../surface';
import { elementsOf, showNode, type HiddenParts } from './hiding';

export type Highlighted = { wall: Wall; left: number; width: number; sill: number; height: number };

/** Where one looks from at first, and the room left round the model. */
const FROM = new THREE.Vector3(0.62, 0.52, 0.9).normalize();
const MARGIN = 1.08;

/** Shows GLB parts and draws only when something changed. glTF's own axes: metres, y up, north to −z. */
export class Viewer {
    private readonly renderer: THREE.WebGLRenderer;
    private readonly scene = new THREE.Scene();
    private readonly camera = new THREE.PerspectiveCamera(32, 1, 0.1, 5000);
    private readonly controls: OrbitControls;
    private readonly model = new THREE.Group();
    private readonly marks = new THREE.Group();
    private readonly parts = new Map<string, { buffer: ArrayBuffer; group: THREE.Object3D }>();
    private readonly observer: ResizeObserver;
    private readonly edge = new THREE.LineBasicMaterial({ color: 0x1d2b2f });
    private hidden = new Set<string>();
    private hiddenParts: HiddenParts = new Map();
    private seenThrough: (wall: string) => boolean = () => false;
    private frame = 0;
    private fitted = false;
    private moved = false;
    private disposed = false;

    constructor(
        private readonly host: HTMLElement,
        private readonly onChoose: (element: string | null, add: boolean) => void,
    ) {
        this.renderer = new THREE.WebGLRenderer({ antialias: true, alpha: true });
        this.renderer.setPixelRatio(window.devicePixelRatio);
        host.appendChild(this.renderer.domElement);
        this.scene.add(this.model, this.marks, new THREE.HemisphereLight(0xffffff, 0xb8b0a0, 2.4));
        const sun = new THREE.DirectionalLight(0xffffff, 1.6);
        sun.position.set(30, 60, 45);
        this.scene.add(sun);
        this.controls = new OrbitControls(this.camera, this.renderer.domElement);
        this.controls.addEventListener('change', () => {
            this.range();
            this.draw();
        });
        this.controls.addEventListener('start', () => (this.moved = true));
        this.observer = new ResizeObserver(() => this.resize());
        this.observer.observe(host);
        let down = { x: 0, y: 0 };
        this.renderer.domElement.addEventListener('pointerdown', (e) => (down = { x: e.clientX, y: e.clientY }));
        this.renderer.domElement.addEventListener('click', (e) => {
            if (Math.hypot(e.clientX - down.x, e.clientY - down.y) < 4) this.onChoose(this.pick(e), e.shiftKey);
        });
        this.retint();
        this.resize();
    }

    /** Brings the model in step: loads what is new or changed, drops what is gone. */
    async load(buffers: Map<string, ArrayBuffer | undefined>): Promise<void> {
        for (const [id, part] of this.parts) {
            if (!buffers.has(id)) {
                this.drop(part.group);
                this.parts.delete(id);
            }
        }
        for (const [id, buffer] of buffers) {
            const old = this.parts.get(id);
            if (!buffer || old?.buffer === buffer) continue;
            const gltf = await new GLTFLoader().parseAsync(buffer, '');
            if (this.disposed) return;
            const current = this.parts.get(id);
            if (current) this.drop(current.group);
            this.outline(gltf.scene);
            this.model.add(gltf.scene);
            this.parts.set(id, { buffer, group: gltf.scene });
            this.showIn(gltf.scene);
        }
        if (!this.fitted && this.parts.size > 0 && this.parts.size === buffers.size) this.fit();
        this.draw();
    }

    /** Hides these elements and parts of elements, and draws the walls that are seen through as a veil. */
    show(hidden: Set<string>, parts: HiddenParts, seenThrough: (wall: string) => boolean): void {
        this.hidden = hidden;
        this.hiddenParts = parts;
        this.seenThrough = seenThrough;
        for (const part of this.parts.values()) this.showIn(part.group);
        this.draw();
    }

    private showIn(root: THREE.Object3D): void {
        root.traverse((node) => {
            const elements = elementsOf(node);
            if (!elements) return;
            showNode(node, elements, this.hidden, this.hiddenParts);
            node.traverse((o) => {
                const mesh = o as THREE.Mesh<THREE.BufferGeometry, THREE.MeshStandardMaterial>;
                if (o instanceof THREE.Mesh && mesh.material.name === 'wall') this.veil(mesh, this.seenThrough(elements[0] ?? ''));
            });
        });
    }

    private veil(mesh: THREE.Mesh<THREE.BufferGeometry, THREE.MeshStandardMaterial>, on: boolean): void {
        const plain = (mesh.userData.plain ??= mesh.material) as THREE.MeshStandardMaterial;
        if (!on) {
            mesh.material = plain;
            return;
        }
        if (mesh.material !== plain) return;
        const veiled = plain.clone();
        Object.assign(veiled, { transparent: true, opacity: 0.18, depthWrite: false });
        mesh.material = veiled;
    }

    /** Lights what is chosen: a box through the wall where it is. */
    highlight(boxes: Highlighted[]): void {
        for (const child of [...this.marks.children]) {
            this.marks.remove(child);
            (child as THREE.Mesh).geometry.dispose();
        }
        const tide = new THREE.Color(colour('tide'));
        for (const { wall, left, width, sill, height } of boxes) {
            // an arc is lit in pieces
            const pieces = wall.arc ? Math.max(1, Math.ceil(Math.abs(width / wall.arc.radius) / 0.15)) : 1;
            for (let i = 0; i < pieces; i++)
                this.lightPiece(wall, left + (width * i) / pieces, width / pieces, sill, height, tide, pieces > 1);
        }
        this.draw();
    }

    private lightPiece(wall: Wall, left: number, width: number, sill: number, height: number, tide: THREE.Color, part: boolean): void {
        const middle = inPlan(wall, left + width / 2, wall.thickness / 2);
        const way = tangent(wall, left + width / 2);
        const geometry = new THREE.BoxGeometry((width + (part ? 0 : 30)) / 1000, (height + 30) / 1000, (wall.thickness + 40) / 1000);
        const mesh = new THREE.Mesh(
            geometry,
            new THREE.MeshBasicMaterial({ color: tide, transparent: true, opacity: 0.55, depthTest: true }),
        );
        const lines = new THREE.LineSegments(
            new THREE.EdgesGeometry(geometry),
            new THREE.LineBasicMaterial({ color: tide, depthTest: false }),
        );
        for (const object of [mesh, lines]) {
            object.position.set(middle.x / 1000, (sill + height / 2) / 1000, -middle.y / 1000);
            object.rotation.y = Math.atan2(way.y, way.x);
            this.marks.add(object);
        }
    }

    /** Shows the whole model from the south-east, as near as all of it has room. */
    fit(): void {
        const box = new THREE.Box3().setFromObject(this.model);
        if (box.isEmpty()) return;
        const centre = box.getCenter(new THREE.Vector3());
        this.camera.position.copy(centre).add(FROM);
        this.camera.lookAt(centre);
        this.camera.updateMatrix();
        const [right, up, out] = [0, 1, 2].map((i) => new THREE.Vector3().setFromMatrixColumn(this.camera.matrix, i));
        const high = Math.tan(THREE.MathUtils.degToRad(this.camera.fov) / 2);
        const wide = high * this.camera.aspect;
        let away = 0;
        for (let i = 0; i < 8; i++) {
            const corner = new THREE.Vector3(
                i & 1 ? box.max.x : box.min.x,
                i & 2 ? box.max.y : box.min.y,
                i & 4 ? box.max.z : box.min.z,
            ).sub(centre);
            const across = Math.max(Math.abs(corner.dot(right!)) / wide, Math.abs(corner.dot(up!)) / high);
            away = Math.max(away, corner.dot(out!) + across * MARGIN);
        }
        this.camera.position.copy(centre).addScaledVector(out!, away);
        this.controls.target.copy(centre);
        this.controls.update();
        this.fitted = true;
        this.draw();
    }

    /** Near and far of what is drawn go with how far one looks, or edges would flicker in their faces. */
    private range(): void {
        const away = this.camera.position.distanceTo(this.controls.target);
        this.camera.near = away / 200;
        this.camera.far = away * 4 + 2000;
        this.camera.updateProjectionMatrix();
    }

    retint(): void {
        this.edge.color.set(colour('ink'));
        this.draw();
    }

    dispose(): void {
        this.disposed = true;
        cancelAnimationFrame(this.frame);
        this.observer.disconnect();
        this.controls.dispose();
        for (const part of this.parts.values()) this.drop(part.group);
        this.renderer.dispose();
        this.renderer.domElement.remove();
    }

    private pick(event: MouseEvent): string | null {
        const r = this.renderer.domElement.getBoundingClientRect();
        const ray = new THREE.Raycaster();
        ray.setFromCamera(
            new THREE.Vector2(((event.clientX - r.left) / r.width) * 2 - 1, 1 - ((event.clientY - r.top) / r.height) * 2),
            this.camera,
        );
        const hit = ray
            .intersectObject(this.model, true)
            .find(
                (h) =>
                    h.object instanceof THREE.Mesh && h.object.visible && ((h.object as THREE.Mesh).material as THREE.Material).depthWrite,
            );
        for (let object: THREE.Object3D | null = hit?.object ?? null; object; object = object.parent) {
            const elements = elementsOf(object);
            if (elements) return elements[hit?.instanceId ?? 0] ?? null;
        }
        return null;
    }

    /** Ink along the edges of walls. */
    private outline(root: THREE.Object3D): void {
        const walls: THREE.Mesh[] = [];
        root.traverse((o) => {
            if (o instanceof THREE.Mesh && (o.material as THREE.Material).name === 'wall') walls.push(o);
        });
        for (const wall of walls) {
            // its faces lie a little behind its edges
            Object.assign(wall.material, { polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 });
            const lines = new THREE.LineSegments(new THREE.EdgesGeometry(wall.geometry, 20), this.edge);
            lines.raycast = () => {};
            wall.add(lines);
        }
    }

    private drop(group: THREE.Object3D): void {
        group.removeFromParent();
        group.traverse((o) => {
            if (o instanceof THREE.Mesh || o instanceof THREE.LineSegments) o.geometry.dispose();
        });
    }

    private resize(): void {
        const { clientWidth: w, clientHeight: h } = this.host;
        if (w === 0 || h === 0) return;
        this.renderer.setSize(w, h);
        this.camera.aspect = w / h;
        this.camera.updateProjectionMatrix();
        if (this.fitted && !this.moved) this.fit();
        this.draw();
    }

    private draw(): void {
        if (this.frame || this.disposed) return;
        this.frame = requestAnimationFrame(() => {
            this.frame = 0;
            this.renderer.render(this.scene, this.camera);
            this.renderer.domElement.dataset.calls = String(this.renderer.info.render.calls);
        });
    }
}
