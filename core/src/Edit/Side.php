<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;

/** A stretch of a chain of walls that is given a new shape. */
final readonly class Side
{
    /**
     * @param  Wall  $like  the wall it is, or of a new one the wall it is made like
     * @param  float|null  $rise  of its arc, mm; null for what the wall keeps of its own (a new one is straight)
     */
    private function __construct(public Wall $like, public Vec2 $from, public Vec2 $to, public bool $new, public ?float $rise)
    {
    }

    public static function of(Wall $wall): self
    {
        return new self($wall, $wall->from, $wall->to, false, null);
    }

    /** A wall along a stretch: the one itself, or a new one like it. */
    public static function along(Wall $like, Curve $curve, bool $new): self
    {
        return new self($like, $curve->start(), $curve->end(), $new, $curve->rise());
    }

    public static function straight(Wall $like, Vec2 $from, Vec2 $to): self
    {
        // levels by figures are along the wall they were given for
        $level = $like->withHead($like->head?->ofRoof())->withFoot($like->foot?->ofRoof());

        return new self($level, $from, $to, true, 0.0);
    }

    public function from(Vec2 $from): self
    {
        return new self($this->like, $from, $this->to, $this->new, $this->rise);
    }

    public function to(Vec2 $to): self
    {
        return new self($this->like, $this->from, $to, $this->new, $this->rise);
    }

    /** @throws \Isleward\Core\Measure\Refusal when what it keeps of its arc cannot be kept */
    public function wall(string $id, int $position): Wall
    {
        $wall = $this->rise === null
            ? $this->like->between($this->from, $this->to)
            : $this->like->withFace($this->from, $this->to, $this->rise);

        return $wall->withId($id)->withPosition($position);
    }
}
