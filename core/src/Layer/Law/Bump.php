<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * One value everywhere but about a place, where it rises to another: a raised cosine so wide, to the power of its sharpness. Place and
 * width are in % of the run.
 */
final readonly class Bump implements Form
{
    private function __construct(
        private float $from,
        private float $to,
        private float $place,
        private float $width,
        private float $sharpness,
    ) {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        $place = $f->has('place') ? $f->number('place') : 50.0;
        $width = $f->has('width') ? $f->number('width') : 50.0;
        $sharpness = $f->has('sharpness') ? $f->number('sharpness') : 1.0;
        if ($width <= 0 || $width > 1000) {
            throw Refusal::because('law.width', sprintf('A bump is as wide as some of its run; %s %% was given.', $width), details: [
                'field' => 'width',
            ]);
        }
        if ($sharpness < 0.1 || $sharpness > 20) {
            throw Refusal::because('law.sharpness', sprintf('Sharpness runs from 0.1 to 20; %s was given.', $sharpness), details: [
                'field' => 'sharpness',
            ]);
        }

        return new self($driven->value($f, 'from'), $driven->value($f, 'to'), $place, $width, $sharpness);
    }

    public function at(float $t, int $n): float
    {
        $off = (100 * $t - $this->place) / $this->width;
        if (abs($off) >= 0.5) {
            return $this->from;
        }

        return $this->from + ($this->to - $this->from) * ((1 + cos(2 * M_PI * $off)) / 2) ** $this->sharpness;
    }

    public function toArray(): array
    {
        return [
            'from' => $this->from, 'to' => $this->to, 'place' => $this->place, 'width' => $this->width, 'sharpness' => $this->sharpness,
        ];
    }

    public function handles(): array
    {
        $crown = $this->place / 100;
        $foot = ($this->place + $this->width / 2) / 100;

        return array_values(array_filter([
            new Handle('crown', $crown, $this->to, true), new Handle('foot', $foot, $this->from, true),
        ], static fn (Handle $h): bool => $h->at >= 0 && $h->at <= 1));
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        return match ($handle) {
            'crown' => [...$this->toArray(), 'to' => $value, 'place' => round(100 * $at, 3)],
            'foot' => [...$this->toArray(), 'from' => $value, 'width' => round(2 * abs(100 * $at - $this->place), 3)],
            default => throw Handle::unknown($handle),
        };
    }
}
