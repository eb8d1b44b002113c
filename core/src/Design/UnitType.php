<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Fields;
use Isleward\Core\Unit\UnitTree;

/** A kind of window or door, drawn once and placed many times; an opening of another size stretches it. */
final readonly class UnitType implements Element
{
    /** Equal for equal trees. */
    public string $treeHash;

    /**
     * @param  float  $width  mm, of the next opening that is filled with it
     * @param  float  $height  mm
     * @param  float  $sill  mm above the storey's floor, of the next opening
     */
    private function __construct(
        public string $id,
        public string $mark,
        public string $name,
        public int $position,
        public float $width,
        public float $height,
        public float $sill,
        public UnitTree $tree,
    ) {
        $this->treeHash = hash('xxh128', serialize($tree->toArray()));
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->string('id'),
            $f->name('mark'),
            $f->name('name'),
            $f->int('position'),
            $f->size('width', 'The width of a unit'),
            $f->size('height', 'The height of a unit'),
            $f->length('sill'),
            UnitTree::from($f->fields('tree')),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Type;
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'mark' => $this->mark, 'name' => $this->name, 'position' => $this->position,
            'width' => $this->width, 'height' => $this->height, 'sill' => $this->sill, 'tree' => $this->tree->toArray(),
        ];
    }
}
