<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/**
 * A sheet with its drawings and schedules where they were put, a caption with its scale under each, a north point beside each plan. A
 * schedule that is longer than its sheet goes on over further ones.
 */
final class Arranged
{
    private const CAPTION = 9.0;

    private const GAP = 8.0;

    private const NORTH = 18.0;

    /** @var list<Page> */
    private array $pages = [];

    /** @var list<array{title: string, x: float, y: float, width: float, height: float, problem: string|null}> */
    private array $blocks = [];

    private function __construct(private readonly SheetDrawings $drawings, private readonly SheetPlan $plan)
    {
    }

    /**
     * @param  string  $date  as it is to be written
     * @param  string  $revision  letter of the latest
     * @return array{pages: list<string>, blocks: list<array{title: string, x: float, y: float, width: float, height: float,
     *    problem: string|null}>} SVG, and where each item lies
     */
    public static function of(SheetDrawings $drawings, SheetPlan $plan, string $date, string $revision): array
    {
        $self = new self($drawings, $plan);
        [$width, $height] = $plan->paper->size();
        $self->pages[] = new Page($width, $height, $plan->number.' '.$plan->name);
        foreach ($plan->items as $item) {
            $self->item($item);
        }
        $self->judge();
        $n = count($self->pages);
        foreach ($self->pages as $i => $page) {
            (new TitleBlock($drawings->design->settings->name, $plan->name.($i > 0
                            ? ', continued'
                            : ''), $self->scale(), self::units($drawings->design->settings->units), $date,
                $n === 1 ? $plan->number : sprintf('%s, %d of %d', $plan->number, $i + 1, $n),
                $revision))->draw($page, min(150.0, $width - 60.0));
        }

        return ['pages' => array_map(static fn (Page $p): string => $p->svg(), $self->pages), 'blocks' => $self->blocks];
    }

    /**
     * A sheet whose items without a place or a scale have got one: the largest usual scale that has room, in the first free place.
     *
     * @param  list<array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null}>  $items
     * @return list<array{kind: string, ref: string, scale: float, x: float, y: float}>
     */
    public static function place(SheetDrawings $drawings, Paper $paper, array $items): array
    {
        $units = $drawings->design->settings->units;
        $out = $taken = [];
        foreach ($items as $item) {
            $scale = $item['scale'];
            if ($scale !== null) {
                SheetPlan::requireScale($scale);
            }
            if ($item['x'] === null || $item['y'] === null || $scale === null) {
                [$scale, $x, $y] = self::free($drawings, $paper, $item['kind'], $item['ref'], $scale, $taken, $units);
                $item = ['x' => $item['x'] ?? $x, 'y' => $item['y'] ?? $y] + $item;
            }
            $out[] = $placed = ['kind' => $item['kind'], 'ref' => $item['ref'], 'scale' => $scale, 'x' => $item['x'], 'y' => $item['y']];
            [$w, $h] = self::size($drawings, $item['kind'], $item['ref'], $scale);
            $taken[] = [$placed['x'], $placed['y'], $placed['x'] + $w, $placed['y'] + $h];
        }

        return $out;
    }

    /**
     * @param  list<array{float, float, float, float}>  $taken
     * @return array{float, float, float} scale, x, y
     */
    private static function free(
        SheetDrawings $drawings,
        Paper $paper,
        string $kind,
        string $ref,
        ?float $scale,
        array $taken,
        Units $units,
    ): array {
        [$x0, $y0, $x1, $y1] = self::room($paper);
        $scales = $scale !== null ? [$scale] : ($kind === 'schedule' ? [1.0] : Scale::usual($units));
        $last = $scales[count($scales) - 1];
        foreach ($scales as $s) {
            [$w, $h] = self::size($drawings, $kind, $ref, $s);
            $h = $kind === 'schedule' ? min($h, ($y1 - $y0) * 0.98) : $h;
            // down and right of what stands already
            $xs = [$x0, ...array_map(static fn (array $t): float => $t[2] + self::GAP, $taken)];
            $ys = [$y0, ...array_map(static fn (array $t): float => $t[3] + self::GAP, $taken)];
            sort($xs);
            sort($ys);
            foreach ($ys as $y) {
                foreach ($xs as $x) {
                    if ($x + $w <= $x1 && $y + $h <= $y1 && self::isFree([$x, $y, $x + $w, $y + $h], $taken, $paper)) {
                        return [$s, round($x, 1), round($y, 1)];
                    }
                }
            }
        }

        return [$last, $x0, $y0];
    }

    /**
     * @param  array{float, float, float, float}  $box
     * @param  list<array{float, float, float, float}>  $taken
     */
    private static function isFree(array $box, array $taken, Paper $paper): bool
    {
        foreach ([...$taken, self::titleBlock($paper)] as $t) {
            if ($box[0] < $t[2] - 0.01 && $box[2] > $t[0] + 0.01 && $box[1] < $t[3] - 0.01 && $box[3] > $t[1] + 0.01) {
                return false;
            }
        }

        return true;
    }

    /** @return array{float, float, float, float} x0, y0, x1, y1 within the border */
    private static function room(Paper $paper): array
    {
        [$w, $h] = $paper->size();

        return [TitleBlock::LEFT + 5, TitleBlock::EDGE + 5, $w - TitleBlock::EDGE - 5, $h - TitleBlock::EDGE - 5];
    }

    /** @return array{float, float, float, float} */
    private static function titleBlock(Paper $paper): array
    {
        [$w, $h] = $paper->size();

        return [
            $w - TitleBlock::EDGE - min(150.0, $w - 60.0),
            $h - TitleBlock::EDGE - TitleBlock::HEIGHT,
            $w - TitleBlock::EDGE,
            $h - TitleBlock::EDGE,
        ];
    }

    /** @return array{float, float} width and height on paper, mm */
    private static function size(SheetDrawings $drawings, string $kind, string $ref, float $scale): array
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

    /** @param  array{kind: string, ref: string, scale: float, x: float, y: float}  $item */
    private function item(array $item): void
    {
        $page = $this->pages[0];
        [$w, $h] = self::size($this->drawings, $item['kind'], $item['ref'], $item['scale']);
        try {
            $title = $this->drawings->title($item['kind'], $item['ref']);
            if ($item['kind'] === 'schedule') {
                $h = $this->schedule($item);
            } else {
                $this->drawn($page, $item, $title, $w, $h);
            }
            $this->blocks[] = ['title' => $title, 'x' => $item['x'], 'y' => $item['y'], 'width' => $w, 'height' => $h, 'problem' => null];
        } catch (Refusal $gone) {
            $page->text($item['x'], $item['y'] + 8, 3.0, $gone->getMessage());
            $this->blocks[] = [
                'title' => ucfirst($item['kind']),
                'x' => $item['x'],
                'y' => $item['y'],
                'width' => 80.0,
                'height' => 12.0,
                'problem' => $gone->getMessage(),
            ];
        }
    }

    /** @param  array{kind: string, ref: string, scale: float, x: float, y: float}  $item */
    private function drawn(Page $page, array $item, string $title, float $w, float $h): void
    {
        $drawing = $this->drawings->drawing($item['kind'], $item['ref'], $item['scale']);
        $page->whole($drawing, $item['x'], $item['y'], $item['scale']);
        $page->text($item['x'], $item['y'] + $h - 3.2, 3.5, $title, strong: true);
        $page->text(
            $item['x'] + mb_strlen($title) * 2.2 + 4, $item['y'] + $h - 3.2, 2.8,
            Scale::label($item['scale'], $this->drawings->design->settings->units)
            .($item['kind'] === 'plan' ? '  ·  S sill, H head over the floor' : ''), faint: true);
        if ($item['kind'] === 'plan') {
            $this->north($page, $item['x'] + $w - self::NORTH / 2, $item['y'] + self::NORTH / 2);
        }
    }

    /** @param  array{kind: string, ref: string, scale: float, x: float, y: float}  $item */
    private function schedule(array $item): float
    {
        $block = ScheduleBlock::of($this->drawings->report($item['ref']));
        [$width] = ScheduleBlock::size($this->drawings->report($item['ref']));
        [, , $x1, $bottom] = self::room($this->plan->paper);
        [$tx, $ty] = self::titleBlock($this->plan->paper);
        $low = static fn (float $x): float => $x + $width > $tx ? $ty - 4 : $bottom;
        $rows = max(1, (int) floor(($low($item['x']) - $item['y']) / ScheduleBlock::ROW) - $block->head());
        [$first, $rest] = $block->split($rows);
        $end = $first->draw($this->pages[0], $item['x'], $item['y'], $width, ScheduleBlock::ROW);
        [$x0, $y0] = self::room($this->plan->paper);
        while ($rest !== null) {
            [$w, $h] = $this->plan->paper->size();
            $this->pages[] = $page = new Page($w, $h, $this->plan->number.' '.$this->plan->name.', continued');
            for ($x = $x0; $rest !== null && ($x === $x0 || $x + $width <= $x1); $x += $width + self::GAP) {
                [$now, $rest] = $rest->split(max(1, (int) floor(($low($x) - $y0) / ScheduleBlock::ROW) - $rest->head()));
                $now->draw($page, $x, $y0, $width, ScheduleBlock::ROW);
            }
        }

        return $end - $item['y'];
    }

    /** A circle with a needle to the north; the plan's upward direction has the bearing that the project says. */
    private function north(Page $page, float $x, float $y): void
    {
        $turn = deg2rad($this->drawings->design->settings->north);
        [$nx, $ny] = [-sin($turn), -cos($turn)];
        $page->circle($x, $y, 6.0, 0.18);
        $page->line($x - $nx * 6, $y - $ny * 6, $x + $nx * 6, $y + $ny * 6, 0.35);
        foreach ([2.6, -2.6] as $side) {
            $page->line($x + $nx * 6, $y + $ny * 6, $x + $nx * 1.5 - $ny * $side, $y + $ny * 1.5 + $nx * $side, 0.35);
        }
        $page->text($x + $nx * 8.4, $y + $ny * 8.4 + 1.1, 3.0, 'N', 'middle', strong: true);
    }

    /** Says of each block where it is not as it should be. */
    private function judge(): void
    {
        [$x0, $y0, $x1, $y1] = self::room($this->plan->paper);
        $title = self::titleBlock($this->plan->paper);
        foreach ($this->blocks as $i => $b) {
            $box = [$b['x'], $b['y'], $b['x'] + $b['width'], $b['y'] + $b['height']];
            $over = null;
            foreach ($this->blocks as $j => $other) {
                if ($j !== $i
                                    && $box[0] < $other['x'] + $other['width'] - 0.5
                                    && $box[2] > $other['x'] + 0.5
                                    && $box[1] < $other['y'] + $other['height'] - 0.5
                                    && $box[3] > $other['y'] + 0.5) {
                    $over = $other['title'];
                }
            }
            $this->blocks[$i]['problem'] ??= match (true) {
                $box[0] < $x0 - 5.5
                                    || $box[1] < $y0 - 5.5
                                    || $box[2] > $x1 + 5.5
                                    || $box[3] > $y1 + 5.5 => 'It runs over the border of the sheet.',
                $box[2] > $title[0] && $box[3] > $title[1] + 0.5 => 'It runs into the title block.',
                $over !== null => sprintf('It lies over “%s”.', $over),
                default => null,
            };
        }
    }

    private function scale(): string
    {
        $scales = [];
        foreach ($this->plan->items as $item) {
            if ($item['kind'] !== 'schedule') {
                $scales[Scale::label($item['scale'], $this->drawings->design->settings->units)] = true;
            }
        }

        return $scales === [] ? 'none' : (count($scales) === 1 ? array_key_first($scales) : 'as shown');
    }

    private static function units(Units $units): string
    {
        return match ($units) {
            Units::Millimetre => 'mm', Units::Metre => 'm', Units::FeetInches => 'feet and inches'
        };
    }
}
