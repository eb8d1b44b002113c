<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Unit\OutlineKind;
use Isleward\Core\Unit\UnitTree;

/**
 * A kind of window or door, drawn once and placed many times; an opening of another size stretches it. Kept ready to read
 * ({@see __serialize()}) its tree is text until someone asks for it: most reads need few of a project's types.
 */
final class UnitType implements Element
{
    /** Equal for equal trees. */
    public readonly string $treeHash;

    /** Whether its outline is other than a rectangle. */
    public readonly bool $shaped;

    /** Whether people go through it. */
    public readonly bool $hasDoor;

    private readonly string $treeText;

    private ?UnitTree $tree;

    /**
     * @param  float  $width  mm, of the next opening that is filled with it
     * @param  float  $height  mm
     * @param  float  $sill  mm above the storey's floor, of the next opening
     */
    private function __construct(
        public readonly string $id,
        public readonly string $mark,
        public readonly string $name,
        public readonly int $position,
        public readonly float $width,
        public readonly float $height,
        public readonly float $sill,
        UnitTree $tree,
    ) {
        $this->tree = $tree;
        $this->treeText = json_encode($tree->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        $this->treeHash = hash('xxh128', $this->treeText);
        $this->shaped = $tree->outline->kind !== OutlineKind::Rectangle;
        $this->hasDoor = $tree->hasDoor();
    }

    /** Whether its name ends with its own size, as that of one does which was made to the size of an opening. */
    public function isMadeToFit(): bool
    {
        return str_ends_with($this->name, ', '.TypeName::ofSize($this->width, $this->height));
    }

    public function tree(): UnitTree
    {
        if ($this->tree === null) {
            $values = json_decode($this->treeText, true, 128, JSON_THROW_ON_ERROR);
            $this->tree = UnitTree::from(new Fields(is_array($values) ? $values : []));
        }

        return $this->tree;
    }

    /** @return array<string, string|int|float|bool> */
    public function __serialize(): array
    {
        return [
            'id' => $this->id, 'mark' => $this->mark, 'name' => $this->name, 'position' => $this->position, 'width' => $this->width,
            'height' => $this->height, 'sill' => $this->sill,
            'treeText' => $this->treeText, 'treeHash' => $this->treeHash, 'shaped' => $this->shaped, 'hasDoor' => $this->hasDoor];
    }

    /**
     * @param  array{id: string, mark: string, name: string, position: int, width: float, height: float, sill: float, treeText: string,
     *    treeHash: string, shaped: bool, hasDoor: bool}  $data
     */
    public function __unserialize(array $data): void
    {
        $this->id = $data['id'];
        $this->mark = $data['mark'];
        $this->name = $data['name'];
        $this->position = $data['position'];
        $this->width = $data['width'];
        $this->height = $data['height'];
        $this->sill = $data['sill'];
        $this->treeText = $data['treeText'];
        $this->treeHash = $data['treeHash'];
        $this->shaped = $data['shaped'];
        $this->hasDoor = $data['hasDoor'];
        $this->tree = null;
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

    public function withMark(string $mark): self
    {
        return new self($this->id, $mark, $this->name, $this->position, $this->width, $this->height, $this->sill, $this->tree());
    }

    public function withName(string $name): self
    {
        return new self($this->id, $this->mark, $name, $this->position, $this->width, $this->height, $this->sill, $this->tree());
    }

    public function withSize(float $width, float $height): self
    {
        return new self($this->id, $this->mark, $this->name, $this->position, $width, $height, $this->sill, $this->tree());
    }

    /** Another type made like this one. */
    public function another(string $id, string $mark, int $position): self
    {
        return new self($id, $mark, $this->name, $position, $this->width, $this->height, $this->sill, $this->tree());
    }

    /**
     * The position of the last on the rack; −1 when there is none.
     *
     * @param  array<array-key, self>  $types
     */
    public static function lastPosition(array $types): int
    {
        return max([-1, ...array_map(static fn (self $t): int => $t->position, array_values($types))]);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Type;
    }

    public function names(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'mark' => $this->mark, 'name' => $this->name, 'position' => $this->position,
            'width' => $this->width, 'height' => $this->height, 'sill' => $this->sill, 'tree' => $this->tree()->toArray(),
        ];
    }
}
