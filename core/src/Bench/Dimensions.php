<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Unit\Axis;
use Isleward\Core\Unit\OutlineKind;
use Isleward\Core\Unit\SolvedDivision;
use Isleward\Core\Unit\SolvedUnit;

/**
 * What is dimensioned on a unit's elevation, and the step at the bench that typing each figure takes. Chains stand outside, on a side of
 * the
 * unit in rows counted from it, the overall size outermost; divisions that reach no side of it stand in the innermost rows above and right
 * of
 * it. Each chain of parts runs from end to end of the unit: what lies between its parts (frame, dividers, what is not divided) has its
 * figure
 * too, so that they add up to the overall size.
 */
final class Dimensions
{
    /** @var list<array<string, mixed>> */
    private array $dimensions = [];

    /** @var array<string, int> rows taken on each side */
    private array $rows = ['below' => 0, 'above' => 0, 'left' => 0, 'right' => 0];

    /** @var array<string, array<int, list<array{float, float}>>> from and to of the parts, by side and row */
    private array $chains = [];

    private function __construct(private readonly SolvedUnit $unit)
    {
    }

    /**
     * @return list<array<string, mixed>> side (below, above, left, right, slope), row, axis, from, to, value (mm or degrees), kind, typed,
     *    step, args, field; of slopes also at (the place of its line across)
     */
    public static function of(SolvedUnit $unit): array
    {
        $self = new self($unit);
        foreach (self::sides($unit) as $side => $chains) {
            foreach ($chains as $row) {
                foreach ($row as $division) {
                    $self->chain($division, $side, $self->rows[$side]);
                }
                $self->rows[$side]++;
            }
        }
        $self->outline();
        $self->overall();
        $self->close();

        return $self->dimensions;
    }

    /**
     * Which divisions' chains stand on which side, innermost row first: those whose parts reach that side.
     *
     * @return array<string, list<list<SolvedDivision>>>
     */
    private static function sides(SolvedUnit $unit): array
    {
        $frame = $unit->tree->frame;
        $reach = [
            'below' => [Axis::Columns, static fn (array $b): bool => $b[1] <= $frame->sill + 1],
            'left' => [Axis::Rows, static fn (array $b): bool => $b[0] <= $frame->left + 1],
            'right' => [Axis::Rows, static fn (array $b): bool => $b[2] >= $unit->width - $frame->right - 1],
            'above' => [Axis::Columns, static fn (array $b): bool => $b[3] >= $unit->height - $frame->head - 1],
        ];
        $sides = [];
        $shown = [];
        foreach ($reach as $side => [$axis, $reaches]) {
            $byDepth = [];
            foreach ($unit->divisions as $d) {
                if ($d->axis === $axis && $reaches($d->box) && ! isset($shown[$d->path])) {
                    $byDepth[$d->path === '' ? 0 : substr_count($d->path, '.') + 1][] = $d;
                    $shown[$d->path] = true;
                }
            }
            krsort($byDepth);
            $sides[$side] = array_values($byDepth);
        }
        foreach (['above' => Axis::Columns, 'right' => Axis::Rows] as $side => $axis) {
            $inner = array_values(array_filter(
                $unit->divisions,
                static fn (SolvedDivision $d): bool => $d->axis === $axis && ! isset($shown[$d->path]),
            ));
            $sides[$side] = [...self::packed($inner), ...($sides[$side] ?? [])];
        }

        return $sides;
    }

    /**
     * Divisions in as few rows as they take without two over the same stretch.
     *
     * @param  list<SolvedDivision>  $divisions
     * @return list<list<SolvedDivision>>
     */
    private static function packed(array $divisions): array
    {
        $extent = static fn (SolvedDivision $d): array => [
            min([INF, ...array_column($d->parts, 'start')]), max([-INF, ...array_column($d->parts, 'end')]),
        ];
        $rows = [];
        foreach ($divisions as $d) {
            [$from, $to] = $extent($d);
            foreach ($rows as $i => $row) {
                $free = true;
                foreach ($row as $other) {
                    [$a, $b] = $extent($other);
                    $free = $free && ($b <= $from + 1e-6 || $a >= $to - 1e-6);
                }
                if ($free) {
                    $rows[$i][] = $d;

                    continue 2;
                }
            }
            $rows[] = [$d];
        }

        return array_values($rows);
    }

    private function chain(SolvedDivision $d, string $side, int $row): void
    {
        $columns = $d->axis === Axis::Columns;
        foreach ($d->parts as $i => $part) {
            $path = $d->path.($d->path === '' ? '' : '.').$i;
            $this->chains[$side][$row][] = [$part['start'], $part['end']];
            $this->dimensions[] = [
                'side' => $side, 'row' => $row, 'axis' => $columns ? 'x' : 'y', 'from' => $part['start'], 'to' => $part['end'],
                'value' => $part['size'], 'kind' => 'part', 'typed' => $part['fixed'],
                'step' => 'part', 'args' => ['path' => $path], 'field' => 'size',
                'label' => sprintf('Part %d %s', $i + 1, $columns ? 'from the left' : 'from below'),
                'path' => $d->path, 'at' => $columns ? $d->box[1] : $d->box[0]];
        }
    }

    private function outline(): void
    {
        $outline = $this->unit->tree->outline;
        [$w, $h] = [$this->unit->width, $this->unit->height];
        foreach ($outline->kind === OutlineKind::Profile ? ['head', 'sill'] : [] as $side) {
            $run = $side === 'head' ? $outline->head : $outline->sill;
            $line = $outline->line($side === 'head', $w, $h);
            $at = $side === 'head' ? 'above' : 'below';
            foreach ($run as $i => $stretch) {
                [[$x0, $y0], [$x1, $y1]] = [$line[$i], $line[$i + 1]];
                $args = ['side' => $side, 'index' => $i];
                $name = sprintf('stretch %d of the %s', $i + 1, $side);
                $this->chains[$at][$this->rows[$at]][] = [$x0, $x1];
                $this->dimensions[] = [
                    'side' => $at, 'row' => $this->rows[$at], 'axis' => 'x', 'from' => $x0, 'to' => $x1, 'value' => $x1 - $x0,
                    'kind' => 'part', 'typed' => $stretch->length !== null,
                    'step' => 'stretch', 'args' => $args, 'field' => 'length', 'label' => 'Length of '.$name];
                if (abs($y1 - $y0) > 0.01) {
                    $this->dimensions[] = [
                        'side' => 'slope', 'row' => 0, 'axis' => 'y', 'from' => min($y0, $y1), 'to' => max($y0, $y1), 'value' => $y1 - $y0,
                        'kind' => 'rise', 'typed' => $stretch->angle === null,
                        'step' => 'stretch', 'args' => $args, 'field' => 'rise', 'label' => 'Rise of '.$name,
                        'at' => $y1 > $y0 ? $x1 : $x0];
                    if ($x1 - $x0 > 0.01) {
                        $this->dimensions[] = [
                            'side' => 'slope', 'row' => 0, 'axis' => 'angle', 'from' => $x0, 'to' => $x1,
                            'value' => rad2deg(atan2($y1 - $y0, $x1 - $x0)), 'kind' => 'angle', 'typed' => $stretch->angle !== null,
                            'step' => 'stretch', 'args' => $args, 'field' => 'angle', 'label' => 'Angle of '.$name,
                            'at' => ($y0 + $y1) / 2];
                    }
                }
            }
            $this->rows[$at] += $run === [] ? 0 : 1;
            foreach ($side === 'head' ? [0 => 'left', count($line) - 1 => 'right'] : [] as $i => $end) {
                if ($line[$i][1] < $h - 0.01) {
                    $this->dimensions[] = [
                        'side' => $end, 'row' => $this->rows[$end], 'axis' => 'y', 'from' => 0.0, 'to' => $line[$i][1],
                        'value' => $line[$i][1], 'kind' => 'overall', 'typed' => true,
                        'step' => 'corner', 'args' => ['index' => $i], 'field' => 'height',
                        'label' => sprintf('Height at the %s end', $end)];
                    $this->rows[$end]++;
                }
            }
        }
        if ($outline->kind === OutlineKind::Arch) {
            $rise = $outline->archRise($w);
            $this->chains['right'][$this->rows['right']][] = [$h - $rise, $h];
            $this->dimensions[] = [
                'side' => 'right', 'row' => $this->rows['right'], 'axis' => 'y', 'from' => $h - $rise, 'to' => $h, 'value' => $rise,
                'kind' => 'part', 'typed' => $outline->rise !== null,
                'step' => 'outline', 'args' => ['outline' => ['kind' => 'arch', 'form' => $outline->form?->value]],
                'field' => 'outline.rise', 'label' => 'Rise of the arch'];
            $this->rows['right']++;
        }
    }

    private function overall(): void
    {
        [$w, $h] = [$this->unit->width, $this->unit->height];
        $this->dimensions[] = [
            'side' => 'below',
            'row' => $this->rows['below'],
            'axis' => 'x',
            'from' => 0.0,
            'to' => $w,
            'value' => $w,
            'kind' => 'overall',
            'typed' => true,
            'step' => 'size',
            'args' => new \stdClass,
            'field' => 'width',
            'label' => 'Width',
        ];
        $this->dimensions[] = [
            'side' => 'right',
            'row' => $this->rows['right'],
            'axis' => 'y',
            'from' => 0.0,
            'to' => $h,
            'value' => $h,
            'kind' => 'overall',
            'typed' => true,
            'step' => 'size',
            'args' => new \stdClass,
            'field' => 'height',
            'label' => 'Height',
        ];
    }

    /** Gives what lies between the parts of a chain, before its first and after its last, a figure of its own. */
    private function close(): void
    {
        foreach ($this->chains as $side => $rows) {
            $upright = $side === 'left' || $side === 'right';
            foreach ($rows as $row => $parts) {
                sort($parts);
                $at = 0.0;
                foreach ([...$parts, [$upright ? $this->unit->height : $this->unit->width, INF]] as [$from, $to]) {
                    if ($from - $at > 0.001) {
                        $this->dimensions[] = [
                            'side' => $side, 'row' => $row, 'axis' => $upright ? 'y' : 'x', 'from' => $at, 'to' => $from,
                            'value' => $from - $at, 'kind' => 'between', 'typed' => false,
                            'step' => '', 'args' => new \stdClass, 'field' => '', 'label' => 'Between'];
                    }
                    $at = $to;
                }
            }
        }
    }
}
