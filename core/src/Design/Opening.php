<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** A hole through a wall, bare or filled with a unit exactly its size. */
final readonly class Opening implements Element
{
    use Withers;

    /**
     * @param  string  $host  what it stands in
     * @param  string|null  $type  unit type that fills it; null for a bare opening
     * @param  float  $width  mm
     * @param  float  $height  mm
     * @param  list<float>|null  $shape  corners [x, y, …] as shares of width and height (0 to 1); null for a rectangle
     * @param  bool  $facesOut  the unit's outside is the wall's outside
     * @param  bool  $mirrored  handed the other way than the type is drawn
     * @param  float  $setback  unit's outer side behind the wall's outer face, mm
     * @param  float|null  $ajar  how far its lights are shown open, 0 to 1; null as its type shows them
     * @param  Jambs|null  $jambs  how it is cut into a curved wall; null as the project says
     * @param  Curtain|null  $curtain  that fills it in place of a unit
     * @param  string|null  $mark  of this one opening, where it has one beside its type's
     */
    private function __construct(
        public string $id,
        public string $host,
        public string $storey,
        public ?string $type,
        public float $width,
        public float $height,
        public ?array $shape,
        public PositionRule $position,
        public SillRule $sill,
        public bool $facesOut,
        public bool $mirrored,
        public float $setback,
        public ?float $ajar,
        public ?string $mark,
        public ?Jambs $jambs,
        public ?Curtain $curtain,
    ) {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->string('id'),
            $f->string('host'),
            $f->string('storey'),
            $f->stringOrNull('type'),
            $f->size('width', 'The width of an opening'),
            $f->size('height', 'The height of an opening'),
            $f->has('shape') ? self::shape($f->array('shape')) : null,
            PositionRule::from($f->fields('position')),
            SillRule::from($f->fields('sill')),
            $f->bool('facesOut', true),
            $f->bool('mirrored'),
            self::setback($f),
            self::ajar($f),
            self::mark($f->stringOrNull('mark')),
            $f->has('jambs') ? $f->choice('jambs', Jambs::class) : null,
            $f->has('curtain') ? self::curtain($f) : null,
        );
    }

    /** The outline of its hole in mm from its left jamb and sill, when it has a shape of its own. */
    public function contour(): ?Contour
    {
        if ($this->shape === null) {
            return null;
        }
        $ring = [];
        for ($i = 0, $n = count($this->shape); $i < $n; $i += 2) {
            array_push($ring, $this->shape[$i] * $this->width, $this->shape[$i + 1] * $this->height);
        }

        return Contour::polygon($ring);
    }

    /** A unit that faces in is seen from behind: its left and right change places. */
    public function seenMirrored(): bool
    {
        return $this->mirrored === $this->facesOut;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Opening;
    }

    public function names(): array
    {
        return [
            ...Naming::of(Tie::StandsIn, $this->host, $this->storey),
            ...Naming::of(Tie::MadeOf, $this->type),
            ...$this->curtain?->names() ?? [],
            ...Naming::of(Tie::MeasuredFrom, $this->position->along->ref, $this->sill->ref),
        ];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'host' => $this->host, 'storey' => $this->storey, 'type' => $this->type,
            'width' => $this->width, 'height' => $this->height, 'shape' => $this->shape,
            'position' => $this->position->toArray(), 'sill' => $this->sill->toArray(),
            'facesOut' => $this->facesOut, 'mirrored' => $this->mirrored, 'setback' => $this->setback, 'ajar' => $this->ajar,
            'mark' => $this->mark, 'jambs' => $this->jambs?->value, 'curtain' => $this->curtain?->toArray(),
        ];
    }

    public function withId(string $id): self
    {
        return $this->but(id: $id);
    }

    public function withHost(string $host): self
    {
        return $this->but(host: $host);
    }

    public function withStorey(string $storey): self
    {
        return $this->but(storey: $storey);
    }

    /** With a unit, or bare. */
    public function withType(?string $type): self
    {
        return $this->but(type: $type, curtain: null);
    }

    /** Filled with curtain wall, or bare. */
    public function withCurtain(?Curtain $curtain): self
    {
        return $this->but(curtain: $curtain, type: null);
    }

    public function isBare(): bool
    {
        return $this->type === null && $this->curtain === null;
    }

    public function withSize(float $width, float $height): self
    {
        return $this->but(width: $width, height: $height);
    }

    public function withHeight(float $height): self
    {
        return $this->but(height: $height);
    }

    public function withPosition(PositionRule $position): self
    {
        return $this->but(position: $position);
    }

    public function withSill(SillRule $sill): self
    {
        return $this->but(sill: $sill);
    }

    public function withHanding(bool $mirrored): self
    {
        return $this->but(mirrored: $mirrored);
    }

    /**
     * With some of what another one has.
     *
     * @param  list<string>  $what  names of its values
     */
    public function taking(self $other, array $what): self
    {
        return $this->but(...array_intersect_key(get_object_vars($other), array_flip($what)));
    }

    /** @throws Refusal when the mark is too long */
    public function withMark(?string $mark): self
    {
        return $this->but(mark: self::mark($mark));
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return list<float>
     */
    private static function shape(array $values): array
    {
        $shape = [];
        foreach ($values as $value) {
            if ((! is_int($value) && ! is_float($value)) || $value < 0 || $value > 1) {
                throw Refusal::because(
                    'opening.shape',
                    'An opening’s shape is a list of shares of its width and height, each from 0 to 1.',
                );
            }
            $shape[] = (float) $value;
        }
        if (count($shape) < 6 || count($shape) % 2 === 1 || abs(Region::signedArea($shape)) < 1e-6) {
            throw Refusal::because('opening.shape', 'An opening’s shape needs three corners or more and an area.');
        }

        return Region::signedArea($shape) < 0 ? Region::reverse($shape) : $shape;
    }

    private static function curtain(Fields $f): Curtain
    {
        $curtain = Curtain::from($f->fields('curtain'));
        if ($f->has('type') || $f->has('shape')) {
            throw Refusal::because(
                'opening.curtain',
                $f->has('type')
                    ? 'An opening is filled with a unit or with curtain wall, not with both.'
                    : 'Curtain wall is let into a rectangular opening; this one has a shape of its own.',
                details: ['field' => 'grid'],
            );
        }
        if ($curtain->lean !== 0.0 || $curtain->foot !== 0.0 || $curtain->height !== null || $curtain->faceted) {
            throw Refusal::because(
                'opening.curtain_stands',
                'Curtain wall in an opening stands upright in it and is as high as it: lean, foot and height are of runs.',
                details: ['field' => 'grid'],
            );
        }

        return $curtain;
    }

    private static function setback(Fields $f): float
    {
        $setback = $f->length('setback');
        if (abs($setback) > 5000) {
            throw Refusal::because(
                'opening.setback',
                sprintf('A unit %s behind the outer face is no longer in its wall.', Length::format($setback, $f->units())),
            );
        }

        return $setback;
    }

    private static function mark(?string $mark): ?string
    {
        $mark = trim($mark ?? '');
        if (mb_strlen($mark) > 24) {
            throw Refusal::because('opening.mark', 'A mark has 24 characters at the most.', details: ['field' => 'mark']);
        }

        return $mark === '' ? null : $mark;
    }

    private static function ajar(Fields $f): ?float
    {
        $ajar = $f->has('ajar') ? $f->number('ajar') : null;
        if ($ajar !== null && ($ajar < 0 || $ajar > 1)) {
            throw Refusal::because(
                'unit.ajar',
                sprintf('A unit stands 0 to 100 %% open; %s %% was given.', $ajar * 100),
                details: ['field' => 'ajar'],
            );
        }

        return $ajar;
    }
}
