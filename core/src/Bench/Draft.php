<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\Axis;
use Isleward\Core\Unit\SolvedDivision;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Solver;
use Isleward\Core\Unit\UnitTree;

/** A unit type being made: its size and its tree as plain values, so that a step changes just what it means to. */
final readonly class Draft
{
    /** @param  array<array-key, mixed>  $tree values of {@see UnitTree} */
    private function __construct(public float $width, public float $height, public array $tree)
    {
    }

    public static function from(Fields $f): self
    {
        // read once, so that it is whole and written the way we write it
        return new self(
            $f->size('width', 'The width of a unit'),
            $f->size('height', 'The height of a unit'),
            UnitTree::from($f->fields('tree'))->toArray(),
        );
    }

    /** @param  array<array-key, mixed>  $tree */
    public function with(array $tree, ?float $width = null, ?float $height = null): self
    {
        return new self($width ?? $this->width, $height ?? $this->height, $tree);
    }

    public function tree(): UnitTree
    {
        return UnitTree::from(new Fields($this->tree));
    }

    /** @throws Refusal when it cannot be built */
    public function solved(): SolvedUnit
    {
        return Solver::solve($this->tree(), $this->width, $this->height);
    }

    /** @return array<array-key, mixed> the region at a path, {@see \Isleward\Core\Unit\SolvedLight::$path} */
    public function node(string $path): array
    {
        $node = self::group($this->tree['root'] ?? null);
        foreach (self::steps($path) as $i) {
            $node = self::group(self::part($node, $i)['node'] ?? null);
        }

        return $node;
    }

    /** @param  array<array-key, mixed>  $node */
    public function withNode(string $path, array $node): self
    {
        return $this->with(['root' => self::put(self::group($this->tree['root'] ?? null), self::steps($path), $node)] + $this->tree);
    }

    /** @return array<array-key, mixed> a division's values */
    public function division(string $path): array
    {
        $node = $this->node($path);
        if (! isset($node['parts'])) {
            throw Refusal::because('bench.no_division', 'That region is not divided.', details: ['path' => $path]);
        }

        return $node;
    }

    /** @return list<array<array-key, mixed>> */
    public static function parts(mixed $division): array
    {
        return array_values(array_map(self::group(...), self::group(self::group($division)['parts'] ?? null)));
    }

    public function solvedDivision(string $path): SolvedDivision
    {
        foreach ($this->solved()->divisions as $division) {
            if ($division->path === $path) {
                return $division;
            }
        }
        throw Refusal::because('bench.no_division', 'That region is not divided.', details: ['path' => $path]);
    }

    /** @return array{string, int} the division a region is a part of, and which part */
    public static function parent(string $path): array
    {
        $steps = self::steps($path);
        if ($steps === []) {
            throw Refusal::because('bench.whole', 'That is the whole unit: it is no part of a division.');
        }
        $last = array_pop($steps);

        return [implode('.', $steps), $last];
    }

    public static function axis(mixed $division): Axis
    {
        return (new Fields(self::group($division)))->choice('axis', Axis::class);
    }

    /** @return list<int> */
    public static function steps(string $path): array
    {
        if ($path === '') {
            return [];
        }
        if (preg_match('/^\d{1,3}(\.\d{1,3})*$/', $path) !== 1) {
            throw Refusal::because('bench.path', sprintf('“%s” is no region of this unit.', $path));
        }

        return array_map(intval(...), explode('.', $path));
    }

    /** @return array<array-key, mixed> */
    private static function group(mixed $value): array
    {
        return is_array($value) ? $value : throw Refusal::because('bench.path', 'There is no such region in this unit.');
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @return array<array-key, mixed>
     */
    private static function part(array $node, int $i): array
    {
        return self::group(self::group($node['parts'] ?? null)[$i] ?? null);
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @param  list<int>  $steps
     * @param  array<array-key, mixed>  $put
     * @return array<array-key, mixed>
     */
    private static function put(array $node, array $steps, array $put): array
    {
        if ($steps === []) {
            return $put;
        }
        $i = array_shift($steps);
        $part = self::part($node, $i);
        $parts = self::group($node['parts'] ?? null);
        $parts[$i] = ['node' => self::put(self::group($part['node'] ?? null), $steps, $put)] + $part;

        return ['parts' => $parts] + $node;
    }
}
