<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/** A chain of walls that were drawn together; a closed one goes round. Inner walls are kept apart from outer ones. */
final readonly class Outline implements Element
{
    use Withers;

    /** @param  float|null  $slab  thickness of the slab of its own that it stands on, mm; null for none */
    private function __construct(
        public string $id,
        public string $name,
        public int $position,
        public bool $closed,
        public bool $inner,
        public ?float $slab,
    ) {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->string('id'),
            $f->name('name'),
            $f->int('position'),
            $f->bool('closed'),
            $f->bool('inner'),
            $f->has('slab') ? $f->size('slab', 'The thickness of a slab') : null,
        );
    }

    /** Another outline like this one. */
    public function another(string $id, string $name, int $position): self
    {
        return $this->but(id: $id, name: $name, position: $position);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Outline;
    }

    public function names(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'position' => $this->position,
            'closed' => $this->closed,
            'inner' => $this->inner,
            'slab' => $this->slab,
        ];
    }
}
