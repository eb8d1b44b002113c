<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Withers;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A unit in a sloped face of a roof, or a level row of them. Left and right as seen from outside. */
final readonly class Rooflight
{
    use Withers;

    /** A row is not longer. */
    public const MOST = 200;

    /**
     * @param  int  $n  its number in its roof
     * @param  string  $wall  that its face lies over
     * @param  string  $from  "left" or "right": of the eaves' ends; "middle"
     * @param  float  $along  from there to the near side of the row, from the middle of the eaves to the row's (right of it positive); mm
     * @param  string  $up  "eaves" or "ridge": of the upper side of the face; "middle"
     * @param  float  $rise  from the eaves up to its foot, from the face's highest down to its head, of the middle up from the middle; mm
     * @param  bool  $level  whether that is measured level; else along the slope
     * @param  float  $proud  how far its outer side stands out of the roof's, mm
     * @param  int  $count  of the row
     * @param  float  $gap  between two of it, mm
     */
    private function __construct(
        public int $n,
        public string $wall,
        public string $type,
        public float $width,
        public float $height,
        public string $from,
        public float $along,
        public string $up,
        public float $rise,
        public bool $level,
        public float $proud,
        public int $count,
        public float $gap,
    ) {
    }

    public static function from(Fields $f): self
    {
        $from = $f->has('from') ? $f->string('from') : 'left';
        $up = $f->has('up') ? $f->string('up') : 'eaves';
        if (! in_array($from, ['left', 'middle', 'right'], true)) {
            throw Refusal::because(
                'rooflight.from', "“{$from}” is no side of a face: left, middle or right.", details: ['field' => 'from'],
            );
        }
        if (! in_array($up, ['eaves', 'middle', 'ridge'], true)) {
            throw Refusal::because(
                'rooflight.up', "“{$up}” is no height of a face: eaves, middle or ridge.", details: ['field' => 'up'],
            );
        }
        $count = $f->has('count') ? $f->int('count') : 1;
        if ($count < 1 || $count > self::MOST) {
            throw Refusal::because('rooflight.count', sprintf('A row has 1 to %d rooflights, not %d.', self::MOST, $count),
                details: ['field' => 'count']);
        }

        return new self(
            $f->int('n'), $f->string('wall'), $f->string('type'), $f->size('width', 'The width of a rooflight'),
            $f->size('height', 'The height of a rooflight'), $from, $f->has('along') ? $f->length('along') : 0.0, $up,
            $f->has('rise') ? $f->length('rise') : 0.0, $f->bool('level', false), $f->has('proud') ? $f->length('proud') : 0.0, $count,
            $f->has('gap') ? $f->size('gap', 'The gap between rooflights', 0.0) : 200.0,
        );
    }

    /** How wide the row is, mm. */
    public function across(): float
    {
        return $this->count * $this->width + ($this->count - 1) * $this->gap;
    }

    /** The same where its row's lower left corner is to lie, counted from where it was counted from. */
    public function movedTo(RoofFace $face, float $u, float $v): self
    {
        $rise = match ($this->up) {
            'eaves' => $v,
            'ridge' => $face->height() - $v - $this->height,
            default => $v - ($face->height() - $this->height) / 2,
        };

        return $this->but(
            wall: $face->side->wall,
            along: match ($this->from) {
                'left' => $u,
                'right' => $face->width() - $u - $this->across(),
                default => $u + $this->across() / 2 - $face->width() / 2,
            },
            rise: $this->level ? $rise * cos((float) $face->side->pitch) : $rise,
        );
    }

    /** The row once more beside it: after it as it is counted. */
    public function beside(int $n): self
    {
        return $this->but(n: $n, along: $this->along + $this->across() + $this->gap);
    }

    /** @return array<string, string|int|float|bool> */
    public function toArray(): array
    {
        return [
            'n' => $this->n, 'wall' => $this->wall, 'type' => $this->type, 'width' => $this->width, 'height' => $this->height,
            'from' => $this->from, 'along' => $this->along, 'up' => $this->up, 'rise' => $this->rise, 'level' => $this->level,
            'proud' => $this->proud, 'count' => $this->count, 'gap' => $this->gap,
        ];
    }
}
