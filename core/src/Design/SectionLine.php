<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Where the building is cut upright: along a line in plan, seen to the left of the way from its one end to the other. */
final readonly class SectionLine implements Kept
{
    /** Shorter lines cut nothing worth drawing, mm. */
    private const LEAST = 100.0;

    private function __construct(public string $id, public string $name, public Vec2 $from, public Vec2 $to)
    {
    }

    public static function from(Fields $f): self
    {
        $from = new Vec2($f->length('fromX'), $f->length('fromY'));
        $to = new Vec2($f->length('toX'), $f->length('toY'));
        if ($from->distanceTo($to) < self::LEAST) {
            throw Refusal::because(
                'section.too_short',
                'A section is cut along a line from one point to another; these two are at the same place.',
            );
        }

        return new self($f->string('id'), $f->name('name'), $from, $to);
    }

    public function called(): string
    {
        return $this->name;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Section;
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
            'fromX' => $this->from->x,
            'fromY' => $this->from->y,
            'toX' => $this->to->x,
            'toY' => $this->to->y,
        ];
    }
}
