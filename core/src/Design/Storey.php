<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/** One storey. Its level follows from those below it: {@see Storeys}. */
final readonly class Storey implements Element
{
    use Withers;

    /** @param  float  $height floor to floor, mm */
    private function __construct(public string $id, public string $name, public int $position, public float $height)
    {
    }

    public static function from(Fields $f): self
    {
        $name = $f->name('name');

        return new self($f->string('id'), $name, $f->int('position'), $f->size('height', sprintf('The height of storey “%s”', $name)));
    }

    public function withPosition(int $position): self
    {
        return $this->but(position: $position);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Storey;
    }

    public function names(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'position' => $this->position, 'height' => $this->height];
    }

    /** "storey Quay" in a sentence, but "Level 2" and "Storey 1" by themselves. */
    public function said(): string
    {
        return preg_match('/\b(storey|story|level|floor)\b/iu', $this->name) === 1 ? $this->name : 'storey '.$this->name;
    }
}
