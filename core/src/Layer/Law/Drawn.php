<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Zero;

/**
 * A curve through points that were drawn, each at a share of the run: straight from one to the next, or smooth, a cubic in each stretch
 * that
 * never passes beyond the points at its ends (Fritsch and Carlson, "Monotone Piecewise Cubic Interpolation", SIAM J. Numer. Anal. 17,
 * 1980).
 * Before the first and after the last it stays as it is there.
 */
final readonly class Drawn implements Form
{
    private const MOST = 200;

    /**
     * @param  non-empty-list<array{float, float}>  $points  share of the run, 0 to 1, and value
     * @param  list<float>  $slopes  at each of them; none where it runs straight
     */
    private function __construct(private array $points, private array $slopes)
    {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        $points = [];
        $given = array_values($f->array('points'));
        if (count($given) < 2 || count($given) > self::MOST) {
            throw Refusal::because('law.points', sprintf('A drawn curve has 2 to %d points; %d were given.', self::MOST,
                count($given)), details: [
                    'field' => 'points',
                ]);
        }
        foreach ($given as $i => $point) {
            $point = is_array($point) && array_is_list($point) && count($point) === 2 ? $point : [null, null];
            $fields = new Fields(['at' => $point[0], 'value' => $point[1]], $f->units());
            $at = Zero::plain($fields->number('at'));
            if ($at < 0 || $at > 1) {
                throw Refusal::because('law.off_run', sprintf('Point %d lies at %s %% of the run; it runs from 0 to 100 %%.', $i + 1,
                    100 * $at));
            }
            if ($points !== [] && $at - $points[count($points) - 1][0] < 1e-6) {
                throw Refusal::because('law.folds_back', sprintf('The drawn curve folds back: point %d lies at %s %% of the run, the one '
                    .'before it at %s %%. Each must lie farther along than the one before.', $i + 1, round(100 * $at, 2),
                    round(100 * $points[count($points) - 1][0], 2)), details: ['point' => $i]);
            }
            $points[] = [$at, $driven->value($fields, 'value')];
        }

        return new self($points, $f->bool('smooth', true) ? self::slopes($points) : []);
    }

    public function at(float $t, int $n): float
    {
        $last = count($this->points) - 1;
        if ($t <= $this->points[0][0]) {
            return $this->points[0][1];
        }
        if ($t >= $this->points[$last][0]) {
            return $this->points[$last][1];
        }
        [$low, $high] = [0, $last];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($this->points[$middle][0] <= $t) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        [[$t0, $y0], [$t1, $y1]] = [$this->points[$low], $this->points[$high]];
        $h = $t1 - $t0;
        $x = ($t - $t0) / $h;
        if ($this->slopes === []) {
            return $y0 + ($y1 - $y0) * $x;
        }

        // Hermite's cubic over a stretch
        return $y0 * (1 + 2 * $x) * (1 - $x) ** 2 + $h * $this->slopes[$low] * $x * (1 - $x) ** 2
            + $y1 * $x * $x * (3 - 2 * $x) + $h * $this->slopes[$high] * $x * $x * ($x - 1);
    }

    public function toArray(): array
    {
        return ['points' => $this->points, 'smooth' => $this->slopes !== []];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<float>
     */
    private static function slopes(array $points): array
    {
        $last = count($points) - 1;
        $secants = [];
        for ($i = 0; $i < $last; $i++) {
            $secants[] = ($points[$i + 1][1] - $points[$i][1]) / ($points[$i + 1][0] - $points[$i][0]);
        }
        $slopes = [$secants[0]];
        for ($i = 1; $i < $last; $i++) {
            // a crest, a trough or a level stretch is level there
            $slopes[] = $secants[$i - 1] * $secants[$i] <= 0 ? 0.0 : ($secants[$i - 1] + $secants[$i]) / 2;
        }
        $slopes[] = $secants[$last - 1];
        foreach ($secants as $i => $secant) {
            if ($secant === 0.0) {
                $slopes[$i] = $slopes[$i + 1] = 0.0;

                continue;
            }
            // inside the circle of radius 3 there is no overshoot
            $square = ($slopes[$i] / $secant) ** 2 + ($slopes[$i + 1] / $secant) ** 2;
            if ($square > 9) {
                $slopes[$i] *= 3 / sqrt($square);
                $slopes[$i + 1] *= 3 / sqrt($square);
            }
        }

        return array_values($slopes);
    }

    public function handles(): array
    {
        return array_map(
            static fn (int $i, array $point): Handle => new Handle("point $i", $point[0], $point[1], true),
            array_keys($this->points), $this->points,
        );
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        $i = str_starts_with($handle, 'point ') ? (int) substr($handle, 6) : -1;
        if (! isset($this->points[$i])) {
            throw Handle::unknown($handle);
        }

        return [...$this->toArray(), 'points' => array_replace($this->points, [$i => [$at, $value]])];
    }

    /** @return array<string, mixed> its figures with one more point */
    public function withPoint(float $at, float $value): array
    {
        $points = [...$this->points, [$at, $value]];
        sort($points);

        return [...$this->toArray(), 'points' => $points];
    }

    /** @return array<string, mixed> its figures without a point; the first and the last stay when there are no others */
    public function withoutPoint(string $handle): array
    {
        $i = str_starts_with($handle, 'point ') ? (int) substr($handle, 6) : -1;
        if (! isset($this->points[$i])) {
            throw Handle::unknown($handle);
        }

        return [...$this->toArray(), 'points' => array_values(array_diff_key($this->points, [$i => 0]))];
    }
}
