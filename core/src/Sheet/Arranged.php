<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Drawing\Fineness;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/**
 * A sheet with its drawings and schedules where they were put, a caption with its scale under each, a north point beside each plan. A
 * schedule that is longer than its sheet goes on over further ones.
 */
final class Arranged
{
    private const GAP = 8.0;

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

    /** @param  array{kind: string, ref: string, scale: float, x: float, y: float}  $item */
    private function item(array $item): void
    {
        $page = $this->pages[0];
        [$w, $h] = SheetPlaces::sizeOf($this->drawings, $item['kind'], $item['ref'], $item['scale']);
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
        $figures = $item['kind'] === 'plan' && Fineness::at($item['scale'])->hasFigures();
        $page->text(
            $item['x'] + mb_strlen($title) * 2.2 + 4, $item['y'] + $h - 3.2, 2.8,
            Scale::label($item['scale'], $this->drawings->design->settings->units)
            .($figures ? '  ·  S sill, H head over the floor' : ''), faint: true);
        if ($item['kind'] === 'plan') {
            $this->north($page, $item['x'] + $w - SheetPlaces::NORTH / 2, $item['y'] + SheetPlaces::NORTH / 2);
        }
    }

    /** @param  array{kind: string, ref: string, scale: float, x: float, y: float}  $item */
    private function schedule(array $item): float
    {
        $block = ScheduleBlock::of($this->drawings->report($item['ref']));
        [$width] = ScheduleBlock::size($this->drawings->report($item['ref']));
        [, , $x1, $bottom] = SheetPlaces::room($this->plan->paper);
        [$tx, $ty] = SheetPlaces::titleBlock($this->plan->paper);
        $low = static fn (float $x): float => $x + $width > $tx ? $ty - 4 : $bottom;
        $rows = max(1, (int) floor(($low($item['x']) - $item['y']) / ScheduleBlock::ROW) - $block->head());
        [$first, $rest] = $block->split($rows);
        $end = $first->draw($this->pages[0], $item['x'], $item['y'], $width, ScheduleBlock::ROW);
        [$x0, $y0] = SheetPlaces::room($this->plan->paper);
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
        [$x0, $y0, $x1, $y1] = SheetPlaces::room($this->plan->paper);
        $title = SheetPlaces::titleBlock($this->plan->paper);
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
