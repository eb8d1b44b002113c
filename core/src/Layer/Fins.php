<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The pieces of a band as they stand, in columns: piece $i of them is number $n[$i] of the band, its back in the middle of its foot at
 * ($x, $y) on the band's line, which runs at $angle there; its outside is to the right. Lengths in mm, angles of pieces in degrees,
 * of the line in radians.
 */
final readonly class Fins
{
    /**
     * @param  list<int>  $n  number in the band, from 0
     * @param  list<float>  $s  arc length from the start of the line
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @param  list<float>  $angle  of the line, radians counter-clockwise from +x
     * @param  list<int>  $stretch  of the line
     * @param  list<float>  $thickness
     * @param  list<float>  $reach
     * @param  list<float>  $length
     * @param  list<float>  $turn
     * @param  list<float>  $lean
     * @param  list<int>  $lost  numbers that are pinned and not there any more
     */
    private function __construct(
        public Band $band,
        public BandLine $line,
        public float $foot,
        public array $n,
        public array $s,
        public array $x,
        public array $y,
        public array $angle,
        public array $stretch,
        public array $thickness,
        public array $reach,
        public array $length,
        public array $turn,
        public array $lean,
        public array $lost,
    ) {
    }

    /**
     * @param  self|null  $last  as the same band stood in another design: it stands so here too where its line and foot are as there
     *
     * @throws Refusal when they cannot stand so
     */
    public static function of(Design $design, Band $band, ?self $last = null): self
    {
        $line = BandLine::of($design, $band);
        $foot = $design->storeys->floor($band->storey) + $band->foot;
        if ($last !== null && $last->foot === $foot && $last->line->isAs($line)) {
            return $last;
        }
        $corners = $line->corners();
        $places = $band->spaced->along($line->length, $line->closed, $corners);
        if ($places === []) {
            throw Refusal::because('band.none', sprintf('Nothing of %s would be left: every piece stands nearer to a corner than %s.',
                $band->name, Length::mark($band->spaced->clear)), [$band->id]);
        }
        $columns = self::stand($line, $places, $band->spaced->corners === Corners::On);
        foreach (Quantity::cases() as $quantity) {
            $columns[$quantity->value] = self::driven($band, $quantity, $places, $line);
        }
        /**
         * @var array{n: list<int>, s: list<float>, x: list<float>, y: list<float>, angle: list<float>, stretch: list<int>,
         *   thickness: list<float>, reach: list<float>, length: list<float>, turn: list<float>, lean: list<float>} $columns
         */
        [$columns, $lost] = self::pinned($band, ['n' => array_keys($places), 's' => $places] + $columns);
        $fins = new self($band, $line, $foot, ...$columns, lost: $lost);
        $fins->requireBeforeWall();

        return $fins;
    }

    /**
     * @param  array<string, list<mixed>>  $columns
     * @return array{array<string, list<mixed>>, list<int>} with what pieces keep, without those left out; and the numbers that are not
     * there
     */
    private static function pinned(Band $band, array $columns): array
    {
        $lost = $out = [];
        $count = count($columns['n']);
        foreach ($band->pinned as $piece => $keeps) {
            if ($piece >= $count) {
                $lost[] = $piece;
            } elseif ($keeps === null) {
                $out[$piece] = true;
            } else {
                foreach ($keeps as $name => $value) {
                    $columns[$name][$piece] = $value;
                }
            }
        }

        $stays = static fn (array $column): array => array_values(array_diff_key($column, $out));

        return [array_map($stays, $columns), $lost];
    }

    /** What is turned or leans may not reach back through the wall it stands before. */
    private function requireBeforeWall(): void
    {
        $turned = $this->band->law(Quantity::Turn)->same() !== 0.0 || $this->band->law(Quantity::Lean)->same() !== 0.0
            || $this->band->pinned !== [];
        if ($this->band->outline === null || ! $turned) {
            return;
        }
        foreach ($this->n as $i => $n) {
            $back = $this->back($i);
            if ($back < -$this->band->gap - Tolerance::LENGTH) {
                throw Refusal::because('band.through_wall', sprintf(
                    'Piece %d of %s would reach %s into its wall as it is turned. Leave a gap of %s, or turn it less.', $n + 1,
                    $this->band->name, Length::mark(-$back - $this->band->gap), Length::mark(ceil(-$back)),
                ), [$this->band->id], ['piece' => $n, 'figure' => -$back - $this->band->gap]);
            }
        }
    }

    /** How far outward of its line the back of a piece lies as it is turned, mm; negative behind it. */
    private function back(int $i): float
    {
        if ($this->lean[$i] !== 0.0 || $this->band->stand !== Stand::Standing || $this->band->shape !== SectionShape::Flat) {
            return Posed::of($this, $i)->bounds()[2][0];
        }
        $turn = deg2rad($this->turn[$i]);

        return ($this->reach[$i] - abs(cos($turn)) * $this->reach[$i] - abs(sin($turn)) * $this->thickness[$i]) / 2;
    }

    public function count(): int
    {
        return count($this->n);
    }

    /** Where it stands along the line, as a share of it. */
    public function share(int $i): float
    {
        return $this->line->length > 0 ? $this->s[$i] / $this->line->length : 0.0;
    }

    /**
     * @param  list<float>  $places
     * @return array{x: list<float>, y: list<float>, angle: list<float>, stretch: list<int>}
     */
    private static function stand(BandLine $line, array $places, bool $onCorners): array
    {
        $xs = $ys = $angles = $stretches = [];
        $i = 0;
        $last = count($line->stretches) - 1;
        $from = null;
        foreach ($places as $s) {
            while ($i < $last && $s >= $line->starts[$i + 1] - Tolerance::LENGTH) {
                $i++;
                $from = null;
            }
            $stretch = $line->stretches[$i];
            $along = max(0.0, $s - $line->starts[$i]);
            $corner = $onCorners && $along <= Tolerance::LENGTH ? $line->halfWay($i) : null;
            if (! $stretch->isCurved() && $corner === null) {
                // straight on from the start of its stretch: worked out once for all that stand on it
                $from ??= [$stretch->x0, $stretch->y0, $way = $stretch->directionAt(0.0), $way->angle()];
                $xs[] = $from[0] + $from[2]->x * $along;
                $ys[] = $from[1] + $from[2]->y * $along;
                $angles[] = $from[3];
            } else {
                $at = $stretch->pointAt($along);
                $xs[] = $at->x;
                $ys[] = $at->y;
                $angles[] = ($corner ?? $stretch->directionAt($along))->angle();
            }
            $stretches[] = $i;
        }

        return ['x' => $xs, 'y' => $ys, 'angle' => $angles, 'stretch' => $stretches];
    }

    /**
     * @param  list<float>  $places
     * @return list<float>
     */
    private static function driven(Band $band, Quantity $quantity, array $places, BandLine $line): array
    {
        $law = $band->law($quantity);
        [$least, $most] = $quantity->limits();
        $same = $law->same();
        if ($same !== null) {
            if ($same < $least || $same > $most) {
                self::refuse($band, $quantity, $same, null);
            }

            return array_fill(0, count($places), $same);
        }
        $values = [];
        $count = count($places);
        $length = max($line->length, 1e-9);
        foreach ($places as $n => $s) {
            $value = $law->at($s / $length, $n, $count);
            if (! ($value >= $least && $value <= $most)) {
                self::refuse($band, $quantity, $value, $s);
            }
            $values[] = $value;
        }

        return $values;
    }

    private static function refuse(Band $band, Quantity $quantity, float $value, ?float $s): never
    {
        $driven = $quantity->driven();
        [$least, $most] = $quantity->limits();
        throw Refusal::because(
            'band.'.$quantity->value,
            sprintf('%s%s of %s would be %s; it may be %s to %s.', $s === null ? 'The '
                : sprintf('%s along the line the ', Length::mark($s)),
                $quantity->value, $band->name, $driven->said($value), $driven->said($least), $driven->said($most)),
            [$band->id],
            ['field' => $quantity->value, 'figure' => $value],
        );
    }

    /** @return list<float> of every piece */
    public function column(Quantity $quantity): array
    {
        return match ($quantity) {
            Quantity::Thickness => $this->thickness,
            Quantity::Reach => $this->reach,
            Quantity::Length => $this->length,
            Quantity::Turn => $this->turn,
            Quantity::Lean => $this->lean,
        };
    }

    /** @return array{float, float} least and greatest */
    public function spread(Quantity $quantity): array
    {
        $values = $this->column($quantity);

        return $values === [] ? [0.0, 0.0] : [min($values), max($values)];
    }

    /** The plan point so far outward from a piece's place. */
    public function outward(int $i, float $by): Vec2
    {
        return new Vec2($this->x[$i] + sin($this->angle[$i]) * $by, $this->y[$i] - cos($this->angle[$i]) * $by);
    }
}
