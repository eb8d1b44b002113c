<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Unit\Box;

/**
 * A mark on a drawing, in mm, y up. Points are flat lists [x, y, …]; an arc is [centre x, centre y, radius, start, sweep]
 * with angles in radians counter-clockwise; a text is placed by its middle.
 */
final readonly class Shape
{
    /** @param  list<list<float>>  $rings */
    private function __construct(
        public Layer $layer,
        public string $kind,
        public array $rings,
        public bool $dashed = false,
        public string $text = '',
    ) {
    }

    /** @param  list<list<float>>  $rings filled by the even-odd rule */
    public static function area(Layer $layer, array $rings): self
    {
        return new self($layer, 'area', $rings);
    }

    public static function box(Layer $layer, Box $b): self
    {
        return self::area($layer, [[$b->x0, $b->y0, $b->x1, $b->y0, $b->x1, $b->y1, $b->x0, $b->y1]]);
    }

    /** @param  list<float>  $points */
    public static function line(Layer $layer, array $points, bool $dashed = false): self
    {
        return new self($layer, 'line', [$points], $dashed);
    }

    public static function arc(Layer $layer, float $x, float $y, float $radius, float $start, float $sweep): self
    {
        return new self($layer, 'arc', [[$x, $y, $radius, $start, $sweep]]);
    }

    /** @param  float  $height of the letters, mm on the drawing */
    public static function text(float $x, float $y, float $height, string $text): self
    {
        return new self(Layer::Text, 'text', [[$x, $y, $height]], text: $text);
    }

    /** The shape turned by $angle about the origin, then moved. */
    public function placed(float $x, float $y, float $angle): self
    {
        $c = cos($angle);
        $s = sin($angle);
        $rings = [];
        foreach ($this->rings as $ring) {
            if ($this->kind === 'arc') {
                [$cx, $cy, $r, $start, $sweep] = $ring;
                $rings[] = [$x + $cx * $c - $cy * $s, $y + $cx * $s + $cy * $c, $r, $start + $angle, $sweep];

                continue;
            }
            $out = [];
            for ($i = 0, $n = $this->kind === 'text' ? 2 : count($ring); $i < $n; $i += 2) {
                $out[] = $x + $ring[$i] * $c - $ring[$i + 1] * $s;
                $out[] = $y + $ring[$i] * $s + $ring[$i + 1] * $c;
            }
            $rings[] = $this->kind === 'text' ? [...$out, $ring[2]] : $out;
        }

        return new self($this->layer, $this->kind, $rings, $this->dashed, $this->text);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $out = ['layer' => $this->layer->value, 'kind' => $this->kind, 'rings' => $this->rings];
        if ($this->dashed) {
            $out['dashed'] = true;
        }
        if ($this->text !== '') {
            $out['text'] = $this->text;
        }

        return $out;
    }
}
