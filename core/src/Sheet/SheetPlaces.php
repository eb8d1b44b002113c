<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Measure\Refusal;

/**
 * Where what is put on a sheet has room. Things of one kind get one scale, the largest usual one at which everything fits, and stand in
 * rows with their levels on one line; what is put beside its like gets that one's scale, and its line where that has room.
 */
final class SheetPlaces
{
    private const CAPTION = 9.0;

    private const GAP = 8.0;

    public const NORTH = 18.0;

    /** What a schedule that is longer than its sheet takes of the sheet's height. */
    private const TALLEST = 0.98;

    /** @var list<array{float, float, float, float}> boxes on paper, mm */
    private array $taken = [];

    /** @var array<string, list<float>> kind and scale → where level 0 of each that stands lies on paper, mm */
    private array $lines = [];

    private function __construct(private readonly SheetDrawings $drawings, private readonly Paper $paper)
    {
    }

    /**
     * Items whose place and scale are given keep them; of the others none overlaps anything, unless there is no room at the smallest scale.
     *
     * @param  list<array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null}>  $items
     * @return list<array{kind: string, ref: string, scale: float, x: float, y: float}>
     *
     * @throws Refusal when a scale cannot be
     */
    public static function of(SheetDrawings $drawings, Paper $paper, array $items): array
    {
        $self = new self($drawings, $paper);
        $out = $waiting = [];
        foreach ($items as $i => $item) {
            if ($item['scale'] !== null) {
                SheetPlan::requireScale($item['scale']);
            }
            if ($item['x'] === null || $item['y'] === null || $item['scale'] === null) {
                $waiting[$item['kind']][$i] = $item;

                continue;
            }
            $out[$i] = ['kind' => $item['kind'], 'ref' => $item['ref'], 'scale' => $item['scale'], 'x' => $item['x'], 'y' => $item['y']];
            $self->stands($out[$i]);
        }
        if ($waiting !== []) {
            $out += $self->fitted($waiting, $out);
        }
        ksort($out);

        return array_map(static fn (array $o, array $item): array => [
            ...$o, 'x' => $item['x'] ?? $o['x'], 'y' => $item['y'] ?? $o['y'],
        ], $out, $items);
    }

    /**
     * @param  array<string, array<int, array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null}>>  $waiting
     * @param  array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>  $there
     * @return array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>
     */
    private function fitted(array $waiting, array $there): array
    {
        $may = $this->scales(array_keys($waiting), $there);
        $at = array_map(static fn (array $scales): int => 0, $may);
        while (true) {
            $places = $this->tried($waiting, $may, $at);
            if ($places !== null) {
                return $this->enlarged($waiting, $may, $at, $places);
            }
            $next = array_filter(array_keys($may), static fn (string $kind): bool => $at[$kind] < count($may[$kind]) - 1);
            if ($next === []) {
                return $this->anyhow($waiting, $may, $at);
            }
            // all a step smaller, those first that are the largest still
            $largest = min(array_map(static fn (string $kind): float => $may[$kind][$at[$kind]], $next));
            foreach ($next as $kind) {
                $at[$kind] += $may[$kind][$at[$kind]] === $largest ? 1 : 0;
            }
        }
    }

    /**
     * With each kind by itself as large as the others leave room for.
     *
     * @param  array<string, array<int, array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null}>>  $waiting
     * @param  array<string, non-empty-list<float>>  $may
     * @param  array<string, int>  $at
     * @param  array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>  $places
     * @return array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>
     */
    private function enlarged(array $waiting, array $may, array $at, array $places): array
    {
        foreach (array_keys($at) as $kind) {
            while ($at[$kind] > 0) {
                $larger = $this->tried($waiting, $may, [$kind => $at[$kind] - 1] + $at);
                if ($larger === null) {
                    break;
                }
                $at[$kind]--;
                $places = $larger;
            }
        }

        return $places;
    }

    /**
     * The scales that each kind may have, the largest first: where its like stands already, that one's and smaller.
     *
     * @param  list<string>  $kinds
     * @param  array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>  $there
     * @return array<string, non-empty-list<float>>
     */
    private function scales(array $kinds, array $there): array
    {
        $may = [];
        foreach ($kinds as $kind) {
            if ($kind === 'schedule') {
                $may[$kind] = [1.0];

                continue;
            }
            $usual = Scale::usual($this->drawings->design->settings->units);
            foreach ($there as $item) {
                if ($item['kind'] === $kind) {
                    $usual = [$item['scale'], ...array_filter($usual, static fn (float $s): bool => $s > $item['scale'])];
                    break;
                }
            }
            $may[$kind] = $usual;
        }

        return $may;
    }

    /**
     * @param  array<string, array<int, array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null}>>  $waiting
     * @param  array<string, non-empty-list<float>>  $may
     * @param  array<string, int>  $at
     * @return array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>|null where all lie; null when one has no room
     */
    private function tried(array $waiting, array $may, array $at): ?array
    {
        $self = clone $this;
        $out = [];
        foreach ($waiting as $kind => $items) {
            $scaled = array_map(static fn (array $item): array => [
                'kind' => $item['kind'], 'ref' => $item['ref'], 'scale' => $item['scale'] ?? $may[$kind][$at[$kind]],
            ], $items);
            while ($scaled !== []) {
                $row = $self->row($scaled);
                if ($row === null) {
                    return null;
                }
                $out += $row;
                $scaled = array_diff_key($scaled, $row);
            }
        }

        return $out;
    }

    /**
     * As many of the first as have room beside each other, on one line.
     *
     * @param  array<int, array{kind: string, ref: string, scale: float}>  $items
     * @return array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>|null
     */
    private function row(array $items): ?array
    {
        for ($n = count($items); $n > 0; $n--) {
            $some = array_slice($items, 0, $n, true);
            $sizes = $lines = [];
            [$up, $down, $wide] = [-INF, -INF, self::GAP * ($n - 1)];
            foreach ($some as $i => $item) {
                $sizes[$i] = [$w, $h, $over] = $this->size($item['kind'], $item['ref'], $item['scale']);
                [$up, $down, $wide] = [max($up, $over), max($down, $h - $over), $wide + $w];
                $lines = $this->lines[$item['kind'].' '.$item['scale']] ?? [];
            }
            $place = $this->free($wide, $up + $down, array_map(static fn (float $line): float => $line - $up, $lines));
            if ($place === null) {
                continue;
            }
            [$x, $y] = $place;
            $out = [];
            foreach ($some as $i => $item) {
                $out[$i] = [...$item, 'x' => round($x, 1), 'y' => round($y + $up - $sizes[$i][2], 1)];
                $this->stands($out[$i]);
                $x += $sizes[$i][0] + self::GAP;
            }

            return $out;
        }

        return null;
    }

    /**
     * @param  list<float>  $tops  looked at first
     * @return array{float, float}|null x, y of a free place of a size
     */
    private function free(float $w, float $h, array $tops): ?array
    {
        [$x0, $y0, $x1, $y1] = self::room($this->paper);
        // down and right of what stands already
        $xs = [$x0, ...array_map(static fn (array $t): float => $t[2] + self::GAP, $this->taken)];
        $ys = [$y0, ...array_map(static fn (array $t): float => $t[3] + self::GAP, $this->taken)];
        sort($xs);
        sort($ys);
        foreach ([...$tops, ...$ys] as $y) {
            foreach ($xs as $x) {
                if ($y >= $y0 && $x + $w <= $x1 && $y + $h <= $y1 && $this->isFree([$x, $y, $x + $w, $y + $h])) {
                    return [$x, $y];
                }
            }
        }

        return null;
    }

    /** @param  array{float, float, float, float}  $box */
    private function isFree(array $box): bool
    {
        foreach ([...$this->taken, self::titleBlock($this->paper)] as $t) {
            if ($box[0] < $t[2] - 0.01 && $box[2] > $t[0] + 0.01 && $box[1] < $t[3] - 0.01 && $box[3] > $t[1] + 0.01) {
                return false;
            }
        }

        return true;
    }

    /** @param  array{kind: string, ref: string, scale: float, x: float, y: float}  $item */
    private function stands(array $item): void
    {
        [$w, $h, $up] = $this->size($item['kind'], $item['ref'], $item['scale']);
        $this->taken[] = [$item['x'], $item['y'], $item['x'] + $w, $item['y'] + $h];
        if ($item['kind'] !== 'schedule') {
            $this->lines[$item['kind'].' '.$item['scale']][] = $item['y'] + $up;
        }
    }

    /**
     * Where there is no room at the smallest scale: each where it finds some, else in the corner.
     *
     * @param  array<string, array<int, array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null}>>  $waiting
     * @param  array<string, non-empty-list<float>>  $may
     * @param  array<string, int>  $at
     * @return array<int, array{kind: string, ref: string, scale: float, x: float, y: float}>
     */
    private function anyhow(array $waiting, array $may, array $at): array
    {
        $out = [];
        foreach ($waiting as $kind => $items) {
            foreach ($items as $i => $item) {
                $one = ['kind' => $item['kind'], 'ref' => $item['ref'], 'scale' => $item['scale'] ?? $may[$kind][$at[$kind]]];
                [$x0, $y0] = self::room($this->paper);
                $out += $this->row([$i => $one]) ?? [$i => [...$one, 'x' => $x0, 'y' => $y0]];
            }
        }

        return $out;
    }

    /** @return array{float, float, float} width and height on paper, and how far level 0 lies below its upper edge, mm */
    private function size(string $kind, string $ref, float $scale): array
    {
        [$w, $h] = self::sizeOf($this->drawings, $kind, $ref, $scale);
        [, $y0, , $y1] = self::room($this->paper);
        if ($kind === 'schedule') {
            return [$w, min($h, ($y1 - $y0) * self::TALLEST), 0.0];
        }
        try {
            return [$w, $h, $this->drawings->drawing($kind, $ref, $scale)->bounds[3] / $scale];
        } catch (Refusal) {
            return [$w, $h, 0.0]; // it is gone, and stands there as a sentence
        }
    }

    /** @return array{float, float} width and height on paper, mm */
    public static function sizeOf(SheetDrawings $drawings, string $kind, string $ref, float $scale): array
    {
        try {
            if ($kind === 'schedule') {
                return ScheduleBlock::size($drawings->report($ref));
            }
            [$x0, $y0, $x1, $y1] = $drawings->drawing($kind, $ref, $scale)->bounds;

            return [($x1 - $x0) / $scale + ($kind === 'plan' ? self::NORTH : 0.0), ($y1 - $y0) / $scale + self::CAPTION];
        } catch (Refusal) {
            return [80.0, 20.0]; // room for the sentence that says what is gone
        }
    }

    /** @return array{float, float, float, float} x0, y0, x1, y1 within the border */
    public static function room(Paper $paper): array
    {
        [$w, $h] = $paper->size();

        return [TitleBlock::LEFT + 5, TitleBlock::EDGE + 5, $w - TitleBlock::EDGE - 5, $h - TitleBlock::EDGE - 5];
    }

    /** @return array{float, float, float, float} */
    public static function titleBlock(Paper $paper): array
    {
        [$w, $h] = $paper->size();

        return [
            $w - TitleBlock::EDGE - min(150.0, $w - 60.0), $h - TitleBlock::EDGE - TitleBlock::HEIGHT,
            $w - TitleBlock::EDGE, $h - TitleBlock::EDGE,
        ];
    }
}
