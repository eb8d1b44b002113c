<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A region divided into parts by mullions or transoms of one section. */
final readonly class Division implements Node
{
    /**
     * @param  float  $face  face width of the dividers, mm
     * @param  float|null  $depth  of the dividers, mm; null for the frame's
     * @param  non-empty-list<Part>  $parts  left to right, or bottom to top
     */
    private function __construct(public Axis $axis, public float $face, public ?float $depth, public array $parts)
    {
    }

    public static function from(Fields $f, int $depth): self
    {
        $parts = array_map(static fn (Fields $part): Part => Part::from($part, $depth), $f->list('parts'));
        if (count($parts) < 2) {
            throw Refusal::because('unit.division', 'A division needs two parts or more.');
        }
        if (count($parts) > 60) {
            throw Refusal::because('unit.division', sprintf('A division has 60 parts at the most; %d were given.', count($parts)));
        }

        return new self(
            $f->choice('axis', Axis::class),
            $f->size('face', 'The face width of a divider'),
            $f->has('depth') ? $f->size('depth', 'The depth of a divider') : null,
            $parts,
        );
    }

    /**
     * Where each part begins and ends, clear, between $from and $to. Measured to centres a part reaches from the side of the
     * unit or the middle of a divider to the next: $lead and $trail are how far those lie outside $from and $to.
     *
     * @return list<array{float, float, float}> from, to, and the size as it is measured, mm
     */
    public function places(float $from, float $to, float $lead, float $trail, bool $toCentres, string $path): array
    {
        $n = count($this->parts);
        $total = $toCentres ? $to - $from + $lead + $trail : $to - $from - $this->face * ($n - 1);
        $left = $total;
        $shares = 0.0;
        foreach ($this->parts as $part) {
            $left -= $part->fixed ?? 0.0;
            $shares += $part->fixed === null ? $part->share : 0.0;
        }
        if ($left < -1e-6 || ($shares === 0.0 && $left > 1e-6)) {
            throw Refusal::because(
                'unit.division_no_room', sprintf(
                    'The parts of this division take %s and %s is there%s.', UnitTree::mm($total - $left), UnitTree::mm($total),
                    $toCentres ? '' : ' between its dividers'), details: ['path' => $path, 'takes' => $total - $left, 'there' => $total]);
        }
        $places = [];
        $at = $toCentres ? $from - $lead : $from;
        foreach ($this->parts as $i => $part) {
            $size = $part->fixed ?? $left * $part->share / $shares;
            $begin = $toCentres ? ($i === 0 ? $from : $at + $this->face / 2) : $at;
            $end = $i === $n - 1 ? $to : ($toCentres ? $at + $size - $this->face / 2 : $at + $size);
            if ($end - $begin < 1.0) {
                throw Refusal::because(
                    'unit.no_room',
                    sprintf(
                        'Part %d of this division would be %s %s clear: its dividers leave no room.',
                        $i + 1,
                        UnitTree::mm($end - $begin),
                        $this->axis === Axis::Columns ? 'wide' : 'high',
                    ),
                    details: ['path' => $path.($path === '' ? '' : '.').$i, 'there' => $end - $begin]);
            }
            $places[] = [$begin, $end, $size];
            $at += $toCentres ? $size : $size + $this->face;
        }

        return $places;
    }

    public function toArray(): array
    {
        return ['axis' => $this->axis->value, 'face' => $this->face] + ($this->depth !== null ? ['depth' => $this->depth] : [])
            + ['parts' => array_map(static fn (Part $p): array => $p->toArray(), $this->parts)];
    }
}
