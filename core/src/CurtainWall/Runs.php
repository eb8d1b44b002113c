<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * The runs of a design. Stretches of an outline that are curtain wall and follow one another make one run where they stand alike: on the
 * same storeys, with the same foot and height; between them stands a corner. At its ends a run stops at what it meets there.
 */
final class Runs
{
    /** A stretch is at least so long, mm. */
    private const LEAST = 1.0;

    /** @var array<string, non-empty-list<Wall>> stretches of its run by the id of each */
    private array $chains = [];

    /** @var array<string, StandingRun> by the id of its first stretch */
    private array $standing = [];

    /** @var array<string, Refusal|null> by the id of each stretch */
    private array $whys = [];

    private function __construct(private readonly Design $design)
    {
        $this->chain();
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /**
     * The run a stretch belongs to, all of it.
     *
     * @throws Refusal when it cannot stand, with figures
     */
    public function of(string $wall): StandingRun
    {
        $standing = $this->around($wall);
        foreach (array_keys($standing->walls) as $i) {
            $standing->requireStretch($this->design, $i);
        }

        return $standing;
    }

    /**
     * The run a stretch belongs to, of which only this stretch is worked out.
     *
     * @throws Refusal when that cannot stand
     */
    public function at(string $wall): StandingRun
    {
        $standing = $this->around($wall);
        $standing->requireStretch($this->design, $standing->indexOf($wall));

        return $standing;
    }

    /** The same; null where the stretch cannot stand, which {@see why} tells. */
    public function find(string $wall): ?StandingRun
    {
        return $this->why($wall) === null ? $this->around($wall) : null;
    }

    /** Why a stretch cannot stand; null where it can. */
    public function why(string $wall): ?Refusal
    {
        if (! array_key_exists($wall, $this->whys)) {
            try {
                $this->at($wall);
                $this->whys[$wall] = null;
            } catch (Refusal $refusal) {
                $this->whys[$wall] = $refusal;
            }
        }

        return $this->whys[$wall];
    }

    /** Why any stretch of the run that a stretch belongs to cannot stand; null where all can. */
    public function whyNot(string $wall): ?Refusal
    {
        foreach ($this->chains[$wall] ?? [] as $one) {
            if ($this->why($one->id) !== null) {
                return $this->why($one->id);
            }
        }

        return null;
    }

    /** @throws Refusal when its path cannot be */
    private function around(string $wall): StandingRun
    {
        $walls = $this->chains[$wall] ?? throw new \LogicException("$wall is no curtain wall.");

        return $this->standing[$walls[0]->id] ??= $this->solve($walls);
    }

    /** @return list<non-empty-list<Wall>> of the chains, those that a grid type stands in */
    public function chainsBy(string $grid): array
    {
        return array_values(array_filter(
            $this->chains(),
            static fn (array $walls): bool => array_filter($walls, static fn (Wall $w): bool => $w->curtain?->grid === $grid) !== [],
        ));
    }

    /** @return list<non-empty-list<Wall>> the stretches of each */
    public function chains(): array
    {
        $out = [];
        foreach ($this->chains as $walls) {
            $out[$walls[0]->id] = $walls;
        }

        return array_values($out);
    }

    /**
     * @return list<StandingRun>
     *
     * @throws Refusal
     */
    public function all(): array
    {
        return array_map(fn (array $walls): StandingRun => $this->of($walls[0]->id), $this->chains());
    }

    /**
     * That units fit into the cells they fill.
     *
     * @throws Refusal naming the cell that is too small, or no rectangle
     */
    public static function requireUnits(Design $design, Stretch $stretch): void
    {
        foreach ($stretch->grid()->cells as $cell) {
            $cut = $cell->infill->type !== null && $stretch instanceof FlatStretch ? $stretch->cuts($cell) : false;
            if ($cut === true) {
                throw CellUnit::noRectangle($cell);
            }
            if ($cell->infill->type !== null && $cut !== null) {
                CellUnit::in($cell, $design->type($cell->infill->type)->tree());
            }
        }
    }

    /** @return array<string, GridType> those of a design, by id */
    public static function types(Design $design): array
    {
        return array_filter($design->grids, static fn (mixed $grid): bool => $grid instanceof GridType);
    }

    public static function type(Design $design, string $id): GridType
    {
        $type = $design->grid($id);

        return $type instanceof GridType ? $type : throw new \LogicException('A grid type is one.');
    }

    /** @throws Refusal when a change by hand is none */
    public static function byHand(Curtain $curtain): ByHand
    {
        return $curtain->byHand === [] ? ByHand::nothing() : ByHand::from(new Fields($curtain->byHand));
    }

    /**
     * Levels of all floors over a level, also of those below it and above.
     *
     * @return list<float>
     */
    public static function floors(Design $design, float $over): array
    {
        $levels = array_map(static fn ($s): float => $design->storeys->floor($s->id) - $over, $design->storeys->all);
        $last = $design->storeys->all[count($design->storeys->all) - 1] ?? null;

        return $last === null ? $levels : [...$levels, $design->storeys->ceiling($last->id) - $over];
    }

    private function chain(): void
    {
        $stretches = array_filter($this->design->walls, static fn (Wall $w): bool => $w->curtain !== null);
        $next = $before = [];
        foreach ($stretches as $id => $wall) {
            foreach ($stretches as $other) {
                if ($other->id !== $wall->id && ! isset($before[$other->id]) && self::follows($wall, $other)) {
                    $next[$id] = $other->id;
                    $before[$other->id] = $id;
                    break;
                }
            }
        }
        // those that nothing comes before first; what is left then goes round
        foreach ([array_diff_key($stretches, $before), $stretches] as $starts) {
            foreach ($starts as $id => $wall) {
                if (isset($this->chains[$id])) {
                    continue;
                }
                $chain = [$wall];
                for ($at = $next[$id] ?? null; $at !== null && $at !== $id; $at = $next[$at] ?? null) {
                    $chain[] = $stretches[$at];
                }
                foreach ($chain as $one) {
                    $this->chains[$one->id] = $chain;
                }
            }
        }
    }

    private static function follows(Wall $a, Wall $b): bool
    {
        return $a->outline === $b->outline && $a->base === $b->base && $a->top === $b->top
            && $a->curtain?->foot === $b->curtain?->foot && $a->curtain?->fromDatum === $b->curtain?->fromDatum
            && $a->curtain?->height === $b->curtain?->height
            && $a->to->isAt($b->from);
    }

    /** @param  non-empty-list<Wall>  $walls */
    private function solve(array $walls): StandingRun
    {
        $count = count($walls);
        $closed = $count > 1 && self::follows($walls[$count - 1], $walls[0]);
        $stretches = $corners = $hands = $grids = $starts = [];
        $first = $walls[0];
        $floor = $this->design->storeys->floor($first->base);
        $foot = $first->curtain?->footLevel($floor) ?? $floor;
        foreach ($walls as $i => $wall) {
            $curtain = $wall->curtain ?? throw new \LogicException('A run is of curtain walls.');
            $grids[] = self::type($this->design, $curtain->grid);
            $face = $wall->face();
            [$from, $to] = $this->between($wall, $i === 0 && ! $closed, $i === $count - 1 && ! $closed);
            $length = $face->length();
            if ($to - $from < self::LEAST) {
                throw Refusal::because('run.no_length', sprintf(
                    'Between what it meets at its ends stretch %d is left no length.', $i + 1,
                ), [$wall->id], ['stretch' => $i + 1]);
            }
            $stretches[] = new PathStretch(
                $from > 0.0 || $to < $length ? $face->part($from / $length, $to / $length) : $face,
                deg2rad($curtain->lean),
                $curtain->faceted,
                Aligned::ofStretch($this->design, $wall, $curtain, $grids[$i]->rules(), $from, $foot),
                $curtain->square,
                $this->head($wall, $grids[$i]->rules(), [$from, $to], $foot),
            );
            $starts[] = $from;
            $hands[] = self::byHand($curtain)->asKept();
            $after = $walls[$i + 1] ?? ($closed ? $walls[0] : null);
            if ($after !== null) {
                $corner = $after->curtain?->corner;
                $corners[] = $corner === null ? $grids[$i]->corner() : Corner::from(new Fields($corner));
            }
        }
        $height = $first->curtain->height ?? $this->design->storeys->ceiling($first->top) - $foot;
        try {
            if ($height < 100.0) {
                throw Refusal::because('run.no_height', sprintf('Its foot stands %.0f under its head: that leaves no curtain wall.', $height));
            }
            $path = RunPath::of($stretches, $corners);
            $floors = self::floors($this->design, $foot);
            $run = Run::along($path, $grids[0]->rules(), $foot, $height, $floors, $hands, whole: false);
        } catch (Refusal $refusal) {
            $stretch = $refusal->details['stretch'] ?? 1;
            throw $refusal->of(($walls[is_int($stretch) ? $stretch - 1 : 0] ?? $first)->id);
        }

        return new StandingRun($walls, $starts, $grids, $run, $path, $foot, $height);
    }

    /**
     * The lines that the head of a stretch lies under, where that is not level: at its front and at its back, so that nothing of it reaches
     * what it follows.
     *
     * @param  array{float, float}  $between  where along its wall it begins and ends
     * @return list<list<array{float, float}>>
     *
     * @throws Refusal when it is no upright, flat one
     */
    private function head(Wall $wall, GridRules $rules, array $between, float $foot): array
    {
        $body = $wall->head === null ? null : Bodies::one($this->design, $wall);
        if ($body?->heads === null) {
            return [];
        }
        if ($wall->curtain?->lean !== 0.0 || $wall->isCurved()) {
            throw Refusal::because('run.head_upright', sprintf(
                'This curtain wall %s: only a flat, upright one follows a roof, or a head by figures.',
                $wall->isCurved() ? 'is an arc' : 'leans',
            ), [$wall->id]);
        }
        [$deepest, $foremost] = Clearing::depths($rules, self::byHand($wall->curtain));
        $lines = [];
        foreach ([-$foremost, 0.0, $deepest] as $depth) {
            // before the wall it may reach past what it follows
            $over = $body->heads->line($body->surface, $between[0], $between[1], $depth) ?? [];
            if (count($over) > 1) {
                $lines[] = array_map(static fn (array $p): array => [$p[0] - $between[0], $p[1] - $foot], $over);
            }
        }

        return $lines;
    }

    /**
     * From where to where its curtain wall runs along a stretch: clear of what its ends meet, on both faces.
     *
     * @return array{float, float}
     */
    private function between(Wall $wall, bool $isFirst, bool $isLast): array
    {
        $length = $wall->face()->length();
        if (! $isFirst && ! $isLast) {
            return [0.0, $length];
        }
        $body = Bodies::one($this->design, $wall);

        return [
            $isFirst ? max(0.0, $body->left->at, $body->left->inner) : 0.0,
            $isLast ? min($length, $body->right->at, $body->right->inner) : $length,
        ];
    }
}
