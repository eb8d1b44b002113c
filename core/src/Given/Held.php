<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Building\Places;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Length;

/**
 * A given schedule held against the model: what is missing, too many, of another size, at another sill, on another storey, or given
 * twice. A line's openings are those that carry its mark themselves, else those filled with the unit type of its mark.
 */
final class Held
{
    /** Sizes and sills are alike within so much, mm: less than the sixteenth of an inch that schedules round to. */
    public const SAME = 1.0;

    /** @var list<Discrepancy> */
    private array $found = [];

    private int $right = 0;

    /** @var array<string, UnitType> */
    private array $types = [];

    private function __construct(private readonly Design $design)
    {
        foreach ($design->types as $type) {
            $this->types[Marks::key($type->mark)] = $type;
        }
    }

    /**
     * @param  list<Line>  $lines
     * @return array{found: list<Discrepancy>, right: int, lines: int} and how many openings are as they are given
     */
    public static function against(array $lines, Design $design): array
    {
        $self = new self($design);
        $groups = [];
        foreach ($lines as $line) {
            if ($line->mark !== '') {
                $groups[Marks::key($line->mark)][] = $line;
            }
        }
        $openings = $self->byMark($groups);
        foreach ($groups as $key => $group) {
            $self->hold($group, $openings[$key] ?? [], $self->types[$key] ?? null);
        }
        foreach ($openings as $key => $rest) {
            if (! isset($groups[$key])) {
                $self->unasked($rest);
            }
        }

        return ['found' => $self->found, 'right' => $self->right, 'lines' => count($lines)];
    }

    /**
     * @param  array<string, non-empty-list<Line>>  $groups
     * @return array<string, non-empty-list<Opening>>
     */
    private function byMark(array $groups): array
    {
        $byType = [];
        foreach ($this->types as $key => $type) {
            $byType[$type->id] = $key;
        }
        $openings = [];
        foreach ($this->design->openings as $opening) {
            $own = $opening->mark === null ? '' : Marks::key($opening->mark);
            $openings[$own !== '' && isset($groups[$own])
                            ? $own
                            : ($opening->type === null ? '' : $byType[$opening->type] ?? '')][] = $opening;
        }

        return $openings;
    }

    /**
     * @param  non-empty-list<Line>  $lines  of one mark
     * @param  list<Opening>  $openings
     */
    private function hold(array $lines, array $openings, ?UnitType $type): void
    {
        $first = $lines[0];
        $this->twice($lines);
        if ($type === null && $openings === []) {
            $this->found[] = new Discrepancy(
                'missing',
                $first->mark,
                $first->row,
                null,
                sprintf(
                    'No unit type is marked %s%s.',
                    $first->mark,
                    $first->wanted() === null ? '' : sprintf('; %d %s given', $first->wanted(), $first->wanted() === 1 ? 'is' : 'are'),
                ),
                [],
                $first->wanted() ?? 0,
            );

            return;
        }
        $wrong = $this->sizes($lines, $openings, $type) + $this->sills($lines, $openings);
        $this->right += count($openings) - count($wrong);
        $this->counts($lines, $openings, $type);
    }

    /** @param  non-empty-list<Line>  $lines */
    private function twice(array $lines): void
    {
        if (count($lines) === 1) {
            return;
        }
        $seen = [];
        foreach ($lines as $line) {
            foreach ($line->byStorey === [] ? [''] : array_keys($line->byStorey) as $storey) {
                $other = $seen[$storey] ?? null;
                if ($other !== null) {
                    $this->found[] = new Discrepancy(
                        'duplicate',
                        $line->mark,
                        $line->row,
                        $storey === '' ? null : $storey,
                        sprintf(
                            'Mark %s is given twice%s: in rows %d and %d.',
                            $line->mark,
                            $storey === '' ? '' : ' for '.$this->storey($storey),
                            $other->row,
                            $line->row,
                        ),
                    );

                    continue 2;
                }
                $seen[$storey] = $line;
            }
            $of = $lines[0];
            if ($line !== $of && (! self::alike($line->width, $of->width) || ! self::alike($line->height, $of->height))) {
                $this->found[] = new Discrepancy(
                    'duplicate',
                    $line->mark,
                    $line->row,
                    null,
                    sprintf(
                        'Mark %s has two sizes: %s in row %d and %s in row %d.',
                        $line->mark,
                        $this->size($of->width, $of->height),
                        $of->row,
                        $this->size($line->width, $line->height),
                        $line->row,
                    ),
                );
            }
        }
    }

    /**
     * @param  non-empty-list<Line>  $lines
     * @param  list<Opening>  $openings
     * @return array<string, true> ids of those of another size
     */
    private function sizes(array $lines, array $openings, ?UnitType $type): array
    {
        $groups = $ids = [];
        foreach ($openings as $opening) {
            $line = count($lines) === 1 ? $lines[0] : self::lineOf($lines, $opening->storey);
            if (($line->width !== null && abs($opening->width - $line->width) > self::SAME)
                            || ($line->height !== null && abs($opening->height - $line->height) > self::SAME)) {
                $groups[$line->row.'|'.round($opening->width, 1).'|'.round($opening->height, 1)][] = [$opening, $line];
                $ids[$opening->id] = true;
            }
        }
        foreach ($groups as $group) {
            [$opening, $line] = $group[0];
            $of = array_map(static fn (array $g): string => $g[0]->id, $group);
            $given = array_filter(['width' => $line->width, 'height' => $line->height], static fn (?float $mm): bool => $mm !== null);
            $wholeType = $type !== null
                            && abs($type->width - $opening->width) <= self::SAME
                            && abs($type->height - $opening->height) <= self::SAME
                            && count($group) === count($openings);
            $this->found[] = new Discrepancy(
                'size', $line->mark, $line->row, null,
                sprintf(
                    '%s %s %s, given %s.',
                    $this->said($group, $line->mark),
                    count($group) === 1 ? 'is' : 'are',
                    $this->size($opening->width, $opening->height),
                    $this->size($line->width ?? $opening->width, $line->height ?? $opening->height),
                ),
                $of, count($of),
                $wholeType
                                    ? new Remedy('Change the type to the size given', 'type.change', ['id' => $type->id] + $given)
                                    : new Remedy('Set the size given', 'opening.change', ['ids' => $of] + $given));
        }
        if ($type !== null && $openings === [] && (! self::alike($lines[0]->width, $type->width)
                    || ! self::alike($lines[0]->height, $type->height))) {
            $given = array_filter(
                ['width' => $lines[0]->width, 'height' => $lines[0]->height],
                static fn (?float $mm): bool => $mm !== null,
            );
            $this->found[] = new Discrepancy(
                'size', $lines[0]->mark, $lines[0]->row, null,
                sprintf(
                    'The type %s is %s, given %s.',
                    $type->mark,
                    $this->size($type->width, $type->height),
                    $this->size($lines[0]->width ?? $type->width, $lines[0]->height ?? $type->height),
                ),
                [], 1,
                new Remedy('Change the type to the size given', 'type.change', ['id' => $type->id] + $given));
        }

        return $ids;
    }

    /**
     * @param  non-empty-list<Line>  $lines
     * @param  list<Opening>  $openings
     * @return array<string, true>
     */
    private function sills(array $lines, array $openings): array
    {
        $groups = $ids = [];
        foreach ($openings as $opening) {
            $line = count($lines) === 1 ? $lines[0] : self::lineOf($lines, $opening->storey);
            if ($line->sill === null) {
                continue;
            }
            $sill = $this->sill($opening);
            if (abs($sill - $line->sill) > self::SAME) {
                $groups[$line->row.'|'.round($sill, 1)][] = [$opening, $line, $sill];
                $ids[$opening->id] = true;
            }
        }
        foreach ($groups as $group) {
            [, $line, $sill] = $group[0];
            $of = array_map(static fn (array $g): string => $g[0]->id, $group);
            $this->found[] = new Discrepancy(
                'sill', $line->mark, $line->row, null,
                sprintf(
                    '%s %s a sill %s above the floor, given %s.',
                    $this->said($group, $line->mark),
                    count($group) === 1 ? 'has' : 'have',
                    $this->mm($sill),
                    $this->mm($line->sill ?? 0.0),
                ),
                $of, count($of),
                new Remedy('Set the sill given', 'opening.change', ['ids' => $of, 'sill' => ['from' => 'floor', 'height' => $line->sill]]));
        }

        return $ids;
    }

    /**
     * @param  non-empty-list<Line>  $lines
     * @param  list<Opening>  $openings
     */
    private function counts(array $lines, array $openings, ?UnitType $type): void
    {
        $wanted = $there = [];
        $total = null;
        foreach ($lines as $line) {
            foreach ($line->byStorey as $storey => $n) {
                $wanted[$storey] = ($wanted[$storey] ?? 0) + $n;
            }
            if ($line->byStorey === [] && $line->count !== null) {
                $total = ($total ?? 0) + $line->count;
            }
        }
        $mark = $lines[0]->mark;
        if ($wanted === []) {
            if ($total !== null && $total !== count($openings)) {
                $this->difference($lines[0], $type, null, $total, $openings);
            }

            return;
        }
        foreach ($openings as $opening) {
            $there[$opening->storey][] = $opening;
        }
        $otherwise = count($there) !== count($wanted);
        foreach ($wanted as $storey => $n) {
            $otherwise = $otherwise || count($there[$storey] ?? []) !== $n;
        }
        if (! $otherwise) {
            return;
        }
        $less = $more = [];
        foreach ($this->design->storeys->all as $storey) {
            $by = count($there[$storey->id] ?? []) - ($wanted[$storey->id] ?? 0);
            if ($by !== 0) {
                $by < 0 ? $less[$storey->id] = -$by : $more[$storey->id] = $by;
            }
        }
        // as many as are missing on one storey and too many on another stand on the wrong one
        foreach ($more as $from => $n) {
            foreach ($less as $to => $m) {
                $both = min($more[$from], $m);
                if ($both > 0) {
                    $of = array_map(static fn (Opening $o): string => $o->id, array_slice($there[$from] ?? [], -$both));
                    $this->found[] = new Discrepancy(
                        'storey', $mark, self::lineOf($lines, $to)->row, $to,
                        sprintf(
                            '%d of %s %s on %s, given on %s.',
                            $both,
                            $mark,
                            $both === 1 ? 'stands' : 'stand',
                            $this->storey($from),
                            $this->storey($to),
                        ),
                        $of, $both,
                        new Remedy('Move to '.$this->storey($to), 'opening.change', ['ids' => $of, 'storey' => $to]));
                    $more[$from] -= $both;
                    $less[$to] -= $both;
                }
            }
        }
        foreach (array_keys(array_filter($less, static fn (int $n): bool => $n > 0)) as $storey) {
            $this->difference(self::lineOf($lines, $storey), $type, $storey, $wanted[$storey] ?? 0, $there[$storey] ?? [], $less[$storey]);
        }
        foreach (array_keys(array_filter($more, static fn (int $n): bool => $n > 0)) as $storey) {
            $this->difference(self::lineOf($lines, $storey), $type, $storey, $wanted[$storey] ?? 0, $there[$storey] ?? [], $more[$storey]);
        }
    }

    /** @param  list<Opening>  $openings */
    private function difference(Line $line, ?UnitType $type, ?string $storey, int $wanted, array $openings, ?int $by = null): void
    {
        $n = count($openings);
        $by ??= abs($n - $wanted);
        $on = $storey === null ? '' : ' on '.$this->storey($storey);
        $this->found[] = new Discrepancy($n < $wanted ? 'missing' : 'surplus', $line->mark, $line->row, $storey,
            sprintf(
                '%d of %s %s%s: %d %s placed, %d given.',
                $by,
                $line->mark,
                $n < $wanted ? ($by === 1 ? 'is missing' : 'are missing') : ($by === 1 ? 'is too many' : 'are too many'),
                $on,
                $n,
                $n === 1 ? 'is' : 'are',
                $wanted,
            ),
            array_map(static fn (Opening $o): string => $o->id, $openings), $by, place: $n < $wanted ? $type?->id : null);
    }

    /** @param  non-empty-list<Opening>  $openings */
    private function unasked(array $openings): void
    {
        $byLabel = [];
        foreach ($openings as $opening) {
            $byLabel[$this->design->label($opening)][] = $opening->id;
        }
        foreach ($byLabel as $label => $ids) {
            $n = count($ids);
            $this->found[] = new Discrepancy('surplus', $label, null, null, $label === 'bare opening'
                ? sprintf(
                    '%d bare opening%s no mark, so no line can ask for %s.',
                    $n,
                    $n === 1 ? ' has' : 's have',
                    $n === 1 ? 'it' : 'them',
                )
                : sprintf('%s is in no line: %d %s placed.', $label, $n, $n === 1 ? 'is' : 'are'), $ids, $n);
        }
    }

    private function sill(Opening $opening): float
    {
        $rule = $opening->sill;

        return $rule->from === SillDatum::Floor
        && $rule->edge === Edge::Sill
                        ? $rule->height
                        : Places::in($this->design)->of($opening)->sill - $this->design->storeys->floor($opening->storey);
    }

    /**
     * The line that gives an opening of this storey.
     *
     * @param  non-empty-list<Line>  $lines
     */
    private static function lineOf(array $lines, string $storey): Line
    {
        foreach ($lines as $line) {
            if (isset($line->byStorey[$storey])) {
                return $line;
            }
        }

        return $lines[0];
    }

    private static function alike(?float $a, ?float $b): bool
    {
        return $a === null || $b === null || abs($a - $b) <= self::SAME;
    }

    /** @param  non-empty-list<array{Opening, Line, 2?: float}>  $group */
    private function said(array $group, string $mark): string
    {
        $storeys = [];
        foreach ($group as [$opening]) {
            $storeys[$opening->storey] = true;
        }
        $on = count($storeys) === 1 ? ' on '.$this->storey(array_key_first($storeys)) : '';

        return count($group) === 1 ? "One $mark$on" : count($group)." of $mark$on";
    }

    private function storey(string $id): string
    {
        return $this->design->storeys->has($id) ? $this->design->storeys->get($id)->name : 'a storey that is gone';
    }

    private function size(?float $width, ?float $height): string
    {
        return ($width === null ? '–' : $this->mm($width)).' × '.($height === null ? '–' : $this->mm($height));
    }

    private function mm(float $mm): string
    {
        return Length::format($mm, $this->design->settings->units);
    }
}
