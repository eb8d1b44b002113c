<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Design\Sheen;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Scene\Geometry;
use Isleward\Core\Scene\Material;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Scene;

/**
 * A scene as binary glTF 2.0 (ISO/IEC 12113): metres, y up, north to −z. A geometry that is placed more than once becomes one
 * node with EXT_mesh_gpu_instancing; nodes name their elements in extras, one for each instance, or with "counts" of how many follow.
 * "parts" names what each is of its element; "names" has for every primitive which of its triangles are whose: a name and how many
 * follow.
 */
final class Glb
{
    private string $binary = '';

    /** @var list<array<string, mixed>> */
    private array $views = [];

    /** @var list<array<string, mixed>> */
    private array $accessors = [];

    /** @var list<array<string, mixed>> */
    private array $meshes = [];

    /** @var list<array<string, mixed>> */
    private array $nodes = [];

    /** @var array<string, int> */
    private array $materials = [];

    private bool $instanced = false;

    public static function write(Scene $scene): string
    {
        return (new self)->file($scene);
    }

    private function file(Scene $scene): string
    {
        $byGeometry = [];
        foreach ($scene->parts as $part) {
            $byGeometry[$part->geometry][] = $part;
        }
        foreach ($byGeometry as $key => $parts) {
            $this->node($key, $scene->geometries[$key], $parts);
        }
        $json = array_filter([
            'asset' => ['version' => '2.0', 'generator' => 'Isleward'],
            'extensionsUsed' => $this->instanced ? ['EXT_mesh_gpu_instancing'] : [],
            'extensionsRequired' => $this->instanced ? ['EXT_mesh_gpu_instancing'] : [],
            'scene' => 0,
            'scenes' => [array_filter(['name' => $scene->name, 'nodes' => array_keys($this->nodes)], static fn ($v): bool => $v !== [])],
            'nodes' => $this->nodes,
            'meshes' => $this->meshes,
            'materials' => array_map(self::material(...), $this->nodes === [] ? [] : array_keys($this->materials)),
            'accessors' => $this->accessors,
            'bufferViews' => $this->views,
            'buffers' => $this->binary === '' ? [] : [['byteLength' => strlen($this->binary)]],
        ], static fn ($v): bool => $v !== []);

        return self::chunks(json_encode($json, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), $this->binary);
    }

    private static function chunks(string $json, string $binary): string
    {
        $json .= str_repeat(' ', (4 - strlen($json) % 4) % 4);
        $body = pack('V', strlen($json)).'JSON'.$json;
        if ($binary !== '') {
            $binary .= str_repeat("\0", (4 - strlen($binary) % 4) % 4);
            $body .= pack('V', strlen($binary))."BIN\0".$binary;
        }

        return 'glTF'.pack('VV', 2, 12 + strlen($body)).$body;
    }

    /** @param  non-empty-list<Part>  $parts */
    private function node(string $name, Geometry $geometry, array $parts): void
    {
        $primitives = [];
        foreach ($geometry->meshes as $material => $mesh) {
            $primitives[] = $this->primitive($mesh, $material);
        }
        $this->meshes[] = ['name' => $name, 'primitives' => $primitives];
        $node = ['name' => $name, 'mesh' => count($this->meshes) - 1];
        $extras = self::named($parts) + ($geometry->names === [] ? [] : ['names' => array_values($geometry->names)]);
        if (count($parts) === 1) {
            $p = $parts[0];
            $this->nodes[] = $node + [
                'translation' => [$p->x / 1000, $p->z / 1000, -$p->y / 1000],
                'rotation' => $p->turned(),
                'extras' => $extras,
            ] + ($p->stretch === null ? [] : ['scale' => $p->stretch]);

            return;
        }
        $this->instanced = true;
        $translations = $rotations = $scales = [];
        foreach ($parts as $p) {
            array_push($translations, $p->x / 1000, $p->z / 1000, -$p->y / 1000);
            array_push($rotations, ...$p->turned());
            if ($p->stretch !== null) {
                array_push($scales, ...$p->stretch);
            }
        }
        $this->nodes[] = $node + [
            'extensions' => ['EXT_mesh_gpu_instancing' => ['attributes' => [
                'TRANSLATION' => $this->floats($translations, 'VEC3', null),
                'ROTATION' => $this->floats($rotations, 'VEC4', null),
            ] + ($scales === [] ? [] : ['SCALE' => $this->floats($scales, 'VEC3', null)])]],
            'extras' => $extras,
        ];
    }

    /**
     * The elements that instances are of, and their storeys: one for each; where many follow that are of one, once for all of them,
     * with how many they are. Where they are parts of their elements also the names of those, one for each.
     *
     * @param  non-empty-list<Part>  $parts
     * @return array<string, mixed>
     */
    private static function named(array $parts): array
    {
        $elements = $storeys = $counts = [];
        foreach ($parts as $part) {
            $last = count($counts) - 1;
            if ($last >= 0 && $elements[$last] === $part->element && $storeys[$last] === $part->storey) {
                $counts[$last]++;
            } else {
                [$elements[], $storeys[], $counts[]] = [$part->element, $part->storey, 1];
            }
        }
        $names = array_map(static fn (Part $p): ?string => $p->name, $parts);
        $names = array_filter($names, static fn (?string $n): bool => $n !== null) === [] ? [] : $names;
        if (count($counts) * 4 > count($parts)) {
            $elements = array_map(static fn (Part $p): string => $p->element, $parts);
            $storeys = array_map(static fn (Part $p): ?string => $p->storey, $parts);
            $counts = [];
        }

        return ['elements' => $elements]
            + (array_filter($storeys, static fn (?string $s): bool => $s !== null) === [] ? [] : ['storeys' => $storeys])
            + ($counts === [] ? [] : ['counts' => $counts])
            + ($names === [] ? [] : ['parts' => $names]);
    }

    /** @return array<string, mixed> */
    private function primitive(Mesh $mesh, string $material): array
    {
        [$positions, $normals, $corners] = $mesh->facing === null ? [$mesh->positions, null, $mesh->triangles] : $mesh->shaded();
        $metres = [];
        foreach ($positions as $mm) {
            $metres[] = $mm / 1000;
        }

        return [
            // without normals every triangle is flat, as glTF has it
            'attributes' => ['POSITION' => $this->floats($metres, 'VEC3', 34962)]
                + ($normals === null ? [] : ['NORMAL' => $this->floats($normals, 'VEC3', 34962)]),
            'indices' => $this->indices($corners),
            'material' => $this->materials[$material] ??= count($this->materials),
        ];
    }

    /** @param  list<float>  $values */
    private function floats(array $values, string $type, ?int $target): int
    {
        $size = $type === 'VEC3' ? 3 : 4;
        $packed = pack('g*', ...$values);
        $accessor = [
            'bufferView' => $this->view($packed, $target),
            'componentType' => 5126,
            'count' => intdiv(count($values), $size),
            'type' => $type,
        ];
        if ($target !== null) {
            // the bounds must be those of the numbers as stored, in single precision
            /** @var array<int, float> $stored */
            $stored = unpack('g*', $packed);
            $least = array_fill(0, $size, INF);
            $most = array_fill(0, $size, -INF);
            foreach ($stored as $i => $value) {
                $k = ($i - 1) % $size;
                $least[$k] = min($least[$k], $value);
                $most[$k] = max($most[$k], $value);
            }
            $accessor += ['min' => $least, 'max' => $most];
        }
        $this->accessors[] = $accessor;

        return count($this->accessors) - 1;
    }

    /** @param  list<int>  $triangles */
    private function indices(array $triangles): int
    {
        $this->accessors[] = [
            'bufferView' => $this->view(pack('V*', ...$triangles), 34963),
            'componentType' => 5125,
            'count' => count($triangles),
            'type' => 'SCALAR',
        ];

        return count($this->accessors) - 1;
    }

    private function view(string $bytes, ?int $target): int
    {
        $this->views[] = [
            'buffer' => 0,
            'byteOffset' => strlen($this->binary),
            'byteLength' => strlen($bytes),
        ] + ($target === null ? [] : ['target' => $target]);
        $this->binary .= $bytes;

        return count($this->views) - 1;
    }

    /** @return array<string, mixed> */
    private static function material(string $name): array
    {
        $known = Material::tryFrom($name);
        [$colour, $roughness] = $known !== null ? [$known->colour(), $known->roughness()] : self::finish($name);

        return array_filter([
            'name' => $name,
            'pbrMetallicRoughness' => ['baseColorFactor' => $colour, 'metallicFactor' => 0.0, 'roughnessFactor' => $roughness],
            'alphaMode' => $known === Material::Glass ? 'BLEND' : null,
            'doubleSided' => $known === Material::Glass ? true : null,
        ], static fn ($v): bool => $v !== null);
    }

    /**
     * @return array{array{float, float, float, float}, float} linear RGB and opacity, and roughness, of a finish "#rrggbb sheen" (IEC
     *    61966-2-1)
     */
    private static function finish(string $name): array
    {
        [$hex, $sheen] = explode(' ', $name);
        $linear = static function (int $at) use ($hex): float {
            $c = (int) hexdec(substr($hex, $at, 2)) / 255;

            return $c <= 0.04045 ? $c / 12.92 : (($c + 0.055) / 1.055) ** 2.4;
        };

        return [[$linear(1), $linear(3), $linear(5), 1.0], Sheen::from($sheen)->roughness()];
    }
}
