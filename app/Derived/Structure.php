<?php

declare(strict_types=1);

namespace App\Derived;

use App\Assembly\Assembly;
use App\Assembly\Ties;
use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Kinds;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Wall;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Roofs;

/** A project's storeys, outlines, walls, types and lines, how the walls stand, and any part of its openings on request. */
final class Structure
{
    /** @var array<string, list<array<string, mixed>>> */
    private array $rows;

    /** @var list<array<string, mixed>> */
    private array $lines;

    private ?Design $bare = null;

    /** @var array<string, Body>|null */
    private ?array $bodies = null;

    /** @var list<Frontage>|null */
    private ?array $frontages = null;

    private readonly Ties $ties;

    /** @var array{string, list<array<string, mixed>>}|null lines asked for last, by what for */
    private ?array $linesOf = null;

    public function __construct(private readonly Assembly $assembly, private readonly Project $project)
    {
        $this->ties = new Ties;
        $this->rows = [];
        foreach (Kinds::bearing() as $kind) {
            $this->rows[$kind->value] = $assembly->rows($kind, $project);
        }
        $this->lines = $this->rows[Kind::Line->value];
        unset($this->rows[Kind::Line->value]);
    }

    /** Without openings, and without lines, which may hang on openings. */
    public function design(): Design
    {
        return $this->bare ??= Design::of($this->project->settings(), $this->assembly->elements($this->rows));
    }

    /** @return array<string, Body> */
    public function bodies(): array
    {
        return $this->bodies ??= Bodies::of($this->design());
    }

    /** @return list<Frontage> */
    public function frontages(): array
    {
        return $this->frontages ??= Frontages::of($this->design(), $this->bodies());
    }

    /** The outer one a desk shows first; none where there is none. */
    public function firstFrontage(): ?Frontage
    {
        foreach ($this->frontages() as $frontage) {
            if (! $frontage->inner) {
                return $frontage;
            }
        }

        return null;
    }

    public function frontage(string $id): ?Frontage
    {
        foreach ($this->frontages() as $frontage) {
            if ($frontage->id === $id) {
                return $frontage;
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> rows of the openings in a frontage's walls, and of what they are placed from */
    public function openingsOf(Frontage $frontage): array
    {
        return $this->openings(
            static fn (Builder $q) => $q->whereIn('host_id', array_keys($frontage->walls)),
            array_keys($frontage->walls),
        );
    }

    /**
     * @param  \Closure(Builder): mixed|null  $narrow
     * @param  list<string>  $walls  whose lines are wanted too
     * @return list<array<string, mixed>> rows, also of what these are placed from
     */
    public function openings(?\Closure $narrow = null, array $walls = []): array
    {
        $rows = $this->assembly->rows(Kind::Opening, $this->project, $narrow);

        if ($narrow === null) {
            return $rows;
        }
        $have = array_column($rows, null, 'id');
        $inLine = [];
        while (($more = array_values(array_diff($this->aligned($walls, array_values($have)), $inLine))) !== []) {
            $found = $this->assembly->rows(Kind::Opening, $this->project, static fn (Builder $q) => $q->whereIn('host_id', $more));
            $have += array_column($found, null, 'id');
            array_push($inLine, ...$more);
        }
        $walls = [...$walls, ...$inLine];
        $lines = array_column($this->lines, null, 'id');
        $asked = array_column(array_filter($this->lines, static fn (array $l): bool => in_array($l['host_id'], $walls, true)), 'id');
        for ($new = [...array_keys($have), ...$asked, ...$this->measuredScreens($walls)]; $new !== []; $new = $next) {
            $next = $missing = [];
            foreach ($this->ties->measuredFrom($this->project, array_map(strval(...), $new)) as $id) {
                if (isset($lines[$id]) && ! in_array($id, $asked, true)) {
                    $asked[] = $next[] = $id;
                } elseif (! isset($lines[$id]) && ! isset($have[$id])) {
                    $missing[] = $id;
                }
            }
            $found = $missing === [] ? [] : $this->assembly->rows(
                Kind::Opening,
                $this->project,
                static fn (Builder $q) => $q->whereIn('id', $missing),
            );
            $have += array_column($found, null, 'id');
            array_push($next, ...array_column($found, 'id'));
        }
        ksort($have);

        return array_values($have);
    }

    /**
     * @param  list<string>  $walls  none for all
     * @return list<string> screens before these with something that is measured from lines or openings
     */
    private function measuredScreens(array $walls): array
    {
        $design = $this->design();
        $measured = static fn (object $l): bool => $l instanceof Screen && $l->isMeasured()
            && ($walls === [] || array_intersect(Screens::in($design)->wallsOf($l), $walls) !== []);

        return array_map(strval(...), array_keys(array_filter($design->layers, $measured)));
    }

    /**
     * Walls that curtain walls are in line with: those of the runs that these walls are of, and those let into openings, on and on.
     *
     * @param  list<string>  $walls  none for all
     * @param  list<array<string, mixed>>  $openings  rows
     * @return list<string>
     */
    private function aligned(array $walls, array $openings): array
    {
        $design = $this->design();
        $letIn = array_filter($openings, static fn (array $row): bool => str_contains((string) ($row['curtain'] ?? ''), '"walls":'));
        $elements = $this->assembly->elements([Kind::Opening->value => array_values($letIn)]);
        $found = [];
        for ($new = $walls; ; $new = $more) {
            $outlines = array_flip(array_map(static fn (string $id): string => $design->wall($id)->outline, $new));
            $of = array_filter($design->walls, static fn (Wall $w): bool => $walls === [] || isset($outlines[$w->outline]));
            $more = array_values(array_diff(Ties::aligned([...$of, ...$elements]), $found));
            if ($more === []) {
                return $found;
            }
            array_push($found, ...$more);
            $elements = [];
        }
    }

    /**
     * Lines that lie on these walls, and those that they and these openings are placed from, on and on.
     *
     * @param  list<string>  $walls
     * @param  list<array<string, mixed>>  $openings  rows
     * @return list<array<string, mixed>>
     */
    private function linesOf(array $walls, array $openings): array
    {
        if ($this->lines === []) {
            return [];
        }
        $key = hash('xxh128', implode(' ', [...$walls, '', ...array_column($openings, 'id')]));
        if ($this->linesOf !== null && $this->linesOf[0] === $key) {
            return $this->linesOf[1];
        }
        $walls = [...$walls, ...$this->aligned($walls, $openings)];
        $byId = array_column($this->lines, null, 'id');
        $kept = array_filter($byId, static fn (array $l): bool => in_array($l['host_id'], $walls, true));
        $from = [...array_column($openings, 'id'), ...array_keys($kept), ...$this->measuredScreens($walls)];
        for ($new = $from; $new !== []; $new = array_keys($found)) {
            $named = $this->ties->measuredFrom($this->project, array_map(strval(...), $new));
            $found = array_diff_key(array_intersect_key($byId, array_flip($named)), $kept);
            $kept += $found;
        }
        ksort($kept);
        $this->linesOf = [$key, array_values($kept)];

        return array_values($kept);
    }

    /**
     * @param  list<array<string, mixed>>  $openings rows
     * @param  list<string>  $walls  whose lines are wanted too
     */
    public function with(array $openings, array $walls = []): Design
    {
        $design = $this->design();
        $lines = $this->linesOf($walls, $openings);

        return Design::of(
            $design->settings,
            [
                ...array_values($design->elements()),
                ...$this->assembly->elements([Kind::Line->value => $lines, Kind::Opening->value => $openings]),
            ],
        );
    }

    /** @return list<Kept> what is kept under names of this kind, by name */
    public function keptOf(Kind $kind): array
    {
        $kept = array_map(
            static fn (Element $e): Kept => $e instanceof Kept ? $e : throw new \LogicException('Its rows hold what is kept.'),
            $this->kept($kind),
        );
        usort($kept, static fn (Kept $a, Kept $b): int => strnatcasecmp($a->called(), $b->called()));

        return $kept;
    }

    /**
     * @param  list<string>  $walls
     * @return list<Acceptance> of findings in these walls
     */
    public function acceptances(array $walls): array
    {
        return array_map(
            static fn (Element $e): Acceptance => $e instanceof Acceptance
                            ? $e
                            : throw new \LogicException('A row of acceptances holds one.'),
            $this->kept(Kind::Acceptance, static fn (Builder $q) => $q->whereIn('host_id', $walls)));
    }

    /**
     * @param  \Closure(Builder): mixed|null  $narrow
     * @return list<Element>
     */
    private function kept(Kind $kind, ?\Closure $narrow = null): array
    {
        return $this->assembly->elements([$kind->value => $this->assembly->rows($kind, $this->project, $narrow)]);
    }

    /**
     * A name for all that a derived thing is worked out from; equal content has an equal hash, also after an undo. Of unit and grid types
     * only those are in it that these openings are filled with and that the curtain walls of these walls' outlines are made by, of the
     * lines only those that lie on these walls or that something hangs on, and of bands those that stand before these walls.
     *
     * @param  list<array<string, mixed>>  $openings
     * @param  list<string>  $walls  whose lines are in it; none for all curtain walls
     */
    public function hash(string $what, array $openings, array $walls = []): string
    {
        $used = array_flip(array_filter(array_column($openings, 'unit_type_id'), is_string(...))) + $this->madeBy($openings, $walls);
        $rows = $this->rows;
        foreach ([Kind::Type, Kind::Grid] as $kind) {
            $rows[$kind->value] = array_values(
                array_filter($rows[$kind->value], static fn (array $row): bool => isset($used[$row['id']])),
            );
        }
        foreach ([Kind::Band, Kind::FloorBand, Kind::Field, Kind::Screen, Kind::Roof] as $kind) {
            $rows[$kind->value] = $this->layersBefore($kind, $walls);
        }
        $lines = $this->linesOf($walls, $openings);

        return hash(
            'xxh128',
            serialize([$what, config('isleward.build'), $this->project->settings()->toArray(), $rows, $lines, $openings]),
        );
    }

    /**
     * @param  list<string>  $walls  none for all
     * @return list<array<string, mixed>> rows of the bands that stand before these
     */
    private function layersBefore(Kind $kind, array $walls): array
    {
        $rows = $this->rows[$kind->value];
        if ($walls === [] || $rows === []) {
            return $rows;
        }
        $design = $this->design();
        $before = [];
        foreach ($design->layers as $id => $layer) {
            $before[$id] = match (true) {
                $layer instanceof Band => Bands::in($design)->wallsOf($layer),
                $layer instanceof FloorBand => FloorBands::in($design)->wallsOf($layer),
                $layer instanceof Roof => Roofs::in($design)->concerned($layer),
                $layer instanceof Field => [$layer->wall],
                $layer instanceof Screen => Screens::in($design)->wallsOf($layer),
                default => [],
            };
        }
        $asked = array_flip($walls);

        return array_values(array_filter($rows, static fn (array $row): bool => is_string($row['id'])
            && array_intersect_key(array_flip($before[$row['id']]), $asked) !== []));
    }

    /**
     * Grid types of curtain walls, and the units in their cells.
     *
     * @param  list<array<string, mixed>>  $openings
     * @param  list<string>  $walls  those whose outlines count; none for all
     * @return array<string, mixed> by id
     */
    private function madeBy(array $openings, array $walls): array
    {
        $design = $this->design();
        $walls = $walls === [] ? [] : [...$walls, ...$this->aligned($walls, $openings)];
        $outlines = array_flip(array_map(static fn (string $id): string => $design->wall($id)->outline, $walls));
        $made = [];
        foreach ($design->walls as $wall) {
            if ($wall->curtain !== null && ($walls === [] || isset($outlines[$wall->outline]))) {
                $made += self::named($wall->curtain->names());
            }
        }
        foreach ($openings as $row) {
            if (is_string($row['curtain'] ?? null)) {
                $values = json_decode($row['curtain'], true, 64, JSON_THROW_ON_ERROR);
                $made += self::named(Curtain::from(new Fields(is_array($values) ? $values : []))->names());
            }
        }
        foreach ($design->layers as $layer) {
            $before = match (true) {
                $layer instanceof Screen => Screens::in($design)->wallsOf($layer),
                $layer instanceof Roof => Roofs::in($design)->wallsOf($layer),
                default => null,
            };
            if ($before !== null && ($walls === [] || array_intersect($before, $walls) !== [])) {
                $made += self::named($layer->names());
            }
        }
        foreach (array_intersect_key($design->grids, $made) as $grid) {
            $made += self::named($grid->names());
        }

        return $made;
    }

    /**
     * @param  list<Naming>  $names
     * @return array<string, true>
     */
    private static function named(array $names): array
    {
        return array_fill_keys(array_map(static fn (Naming $n): string => $n->to, $names), true);
    }
}
