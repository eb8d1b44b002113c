<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;

/**
 * One stretch of wall. The line from → to is its outer face; outside lies to the right of it, the thickness grows to the
 * left. Seen from outside, "from" is the left end.
 */
final readonly class Wall implements Host
{
    use Withers;

    /**
     * @param  int  $position  place in its outline's chain
     * @param  float  $rise  height of an arc over its chord, mm, positive outward; 0 for a straight wall
     * @param  Bend  $keeps  what of an arc stays as it is when one of its ends moves
     * @param  float  $thickness  mm
     * @param  string  $base  storey on whose floor it stands
     * @param  string  $top  last storey it runs through
     * @param  Curtain|null  $curtain  where this stretch is curtain wall; its thickness is as deep as its type makes it then
     * @param  WallEdge|null  $head  what its head follows; null where it is level at its last storey's head
     * @param  WallEdge|null  $foot  null where it is level on its first storey's floor
     */
    private function __construct(
        public string $id,
        public string $outline,
        public int $position,
        public Vec2 $from,
        public Vec2 $to,
        public float $rise,
        public Bend $keeps,
        public float $thickness,
        public string $base,
        public string $top,
        public ?Curtain $curtain,
        public ?WallEdge $head = null,
        public ?WallEdge $foot = null,
    ) {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->string('id'),
            $f->string('outline'),
            $f->int('position'),
            new Vec2($f->length('fromX'), $f->length('fromY')),
            new Vec2($f->length('toX'), $f->length('toY')),
            $f->has('rise') ? $f->length('rise') : 0.0,
            $f->choice('keeps', Bend::class, Bend::Rise),
            $f->size('thickness', 'The thickness of a wall'),
            $f->string('base'),
            $f->string('top'),
            $f->has('curtain') ? Curtain::from($f->fields('curtain')) : null,
            $f->has('head') ? WallEdge::from($f->fields('head')) : null,
            $f->has('foot') ? WallEdge::from($f->fields('foot')) : null,
        );
    }

    /** The outer face in plan, from its left end to its right end as seen from outside. */
    public function face(): Curve
    {
        return $this->rise === 0.0 ? Curve::line($this->from, $this->to) : Curve::overChord($this->from, $this->to, $this->rise);
    }

    public function leftEnd(): Vec2
    {
        return $this->from;
    }

    public function rightEnd(): Vec2
    {
        return $this->to;
    }

    /** What its outer face lies on. */
    public function surface(): Upright
    {
        return Upright::over($this->face());
    }

    public function isCurved(): bool
    {
        return $this->rise !== 0.0;
    }

    public function curtain(): ?Curtain
    {
        return $this->curtain;
    }

    public function head(): ?WallEdge
    {
        return $this->head;
    }

    public function foot(): ?WallEdge
    {
        return $this->foot;
    }

    public function depth(): float
    {
        return $this->thickness;
    }

    public function base(): string
    {
        return $this->base;
    }

    public function top(): string
    {
        return $this->top;
    }

    public function outline(): string
    {
        return $this->outline;
    }

    public function position(): int
    {
        return $this->position;
    }

    /**
     * With other ends; of an arc what it {@see $keeps} stays.
     *
     * @throws \Isleward\Core\Measure\Refusal when no such arc goes from the one to the other
     */
    public function between(Vec2 $from, Vec2 $to): self
    {
        $rise = $this->isCurved() ? $this->keeps->rise($this->face(), $from->distanceTo($to), $this->id) : 0.0;

        return $this->withFace($from, $to, $rise);
    }

    /** Curtain wall, as deep as its type makes it; or a wall again. */
    public function withCurtain(?Curtain $curtain, float $thickness): self
    {
        return $this->but(curtain: $curtain, thickness: $thickness);
    }

    /** Its head follows this, or is level again. */
    public function withHead(?WallEdge $head): self
    {
        return $this->but(head: $head);
    }

    public function withFoot(?WallEdge $foot): self
    {
        return $this->but(foot: $foot);
    }

    public function withId(string $id): self
    {
        return $this->but(id: $id);
    }

    public function withPosition(int $position): self
    {
        return $this->but(position: $position);
    }

    public function withKeeps(Bend $keeps): self
    {
        return $this->but(keeps: $keeps);
    }

    public function withBase(string $base): self
    {
        return $this->but(base: $base);
    }

    public function withTop(string $top): self
    {
        return $this->but(top: $top);
    }

    public function withOutline(string $outline): self
    {
        return $this->but(outline: $outline);
    }

    /** Over another stretch of plan. */
    public function withFace(Vec2 $from, Vec2 $to, float $rise): self
    {
        return $this->but(from: $from, to: $to, rise: $rise);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Wall;
    }

    public function names(): array
    {
        // in line with lines of its own it names nothing else
        $curtain = array_filter($this->curtain?->names() ?? [], fn (Naming $n): bool => $n->to !== $this->id);

        return [
            ...Naming::of(Tie::StandsIn, $this->outline, $this->base, $this->top), ...array_values($curtain),
            ...Naming::of(Tie::MeasuredFrom, $this->head?->roof, $this->foot?->roof),
        ];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'outline' => $this->outline, 'position' => $this->position,
            'fromX' => $this->from->x, 'fromY' => $this->from->y, 'toX' => $this->to->x, 'toY' => $this->to->y, 'rise' => $this->rise,
            'keeps' => $this->keeps->value,
            'thickness' => $this->thickness, 'base' => $this->base, 'top' => $this->top,
            'curtain' => $this->curtain?->toArray(), 'head' => $this->head?->toArray(), 'foot' => $this->foot?->toArray(),
        ];
    }
}
