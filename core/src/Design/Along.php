<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Zero;

/**
 * A place along a wall, kept the way it was given: "1450 from the left end", "a third of the wall", "300 right of line L".
 * From the right end one measures to the left, from everything else to the right. Where it falls is for the building to say.
 */
final readonly class Along
{
    /**
     * @param  float  $value  mm; for {@see Reference::Fraction} a share of the wall's length, 0 to 1
     * @param  string|null  $ref  the line or opening it is measured from
     * @param  Point  $point  of that opening
     * @param  float  $at  for {@see Reference::Point}: the picked spot from the wall's left end, mm
     * @param  Face  $face  the face whose ends, middle or share are meant
     */
    private function __construct(
        public Reference $from,
        public float $value,
        public ?string $ref,
        public Point $point,
        public float $at,
        public Face $face,
    ) {
    }

    public static function of(
        Reference $from,
        float $value,
        ?string $ref = null,
        Point $point = Point::Left,
        float $at = 0.0,
        Face $face = Face::Outer,
    ): self {
        if ($from === Reference::Fraction && ($value < 0 || $value > 1)) {
            throw Refusal::because(
                'position.fraction',
                sprintf('A share of the wall runs from 0 to 100 %%; %s %% was given.', round($value * 100, 2)),
            );
        }
        if ($from->isOther() && $ref === null) {
            throw Refusal::because(
                'position.no_reference',
                $from === Reference::Opening ? 'Say which opening it is measured from.' : 'Say which line it is measured from.',
            );
        }

        $at = $from === Reference::Point ? Zero::plain($at) : 0.0;

        return new self($from, Zero::plain($value), $from->isOther() ? $ref : null, $point, $at, $face);
    }

    public static function from(Fields $f): self
    {
        $from = $f->choice('from', Reference::class);
        $value = match (true) {
            $from === Reference::Fraction => $f->number('value'),
            $from === Reference::Across && ! $f->has('value') => 0.0,
            default => $f->length('value'),
        };

        return self::of(
            $from, $value, $f->stringOrNull('ref'), $f->choice('point', Point::class, Point::Left),
            $f->has('at') ? $f->length('at') : 0.0, $f->choice('face', Face::class, Face::Outer),
        );
    }

    public function withValue(float $value): self
    {
        return self::of($this->from, $value, $this->ref, $this->point, $this->at, $this->face);
    }

    /** The place mirrored about the middle of its wall, $length long; what it refers to is taken to be mirrored with it. */
    public function turned(float $length): self
    {
        return match ($this->from) {
            Reference::Left => self::of(Reference::Right, $this->value, face: $this->face),
            Reference::Right => self::of(Reference::Left, $this->value, face: $this->face),
            Reference::Fraction => self::of($this->from, 1 - $this->value, face: $this->face),
            Reference::Across => $this,
            default => self::of($this->from, -$this->value, $this->ref, $this->point->mirrored(), $length - $this->at, $this->face),
        };
    }

    /** @return array{from: string, value: float, ref: string|null, point: string, at: float, face: string} */
    public function toArray(): array
    {
        return [
            'from' => $this->from->value,
            'value' => $this->value,
            'ref' => $this->ref,
            'point' => $this->point->value,
            'at' => $this->at,
            'face' => $this->face->value,
        ];
    }
}
