<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Overlay;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\Solver;

/** The screens of a design as they stand, each worked out when it is first asked for. */
final class Screens
{
    /** @var array<string, ScreenStands|Refusal> */
    private array $found = [];

    /** @var list<Screen>|null */
    private ?array $all = null;

    private function __construct(private readonly Design $design)
    {
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /** @return list<Screen> in the order they were put in */
    public function all(): array
    {
        if ($this->all === null) {
            $this->all = array_values(array_filter($this->design->layers, static fn (object $l): bool => $l instanceof Screen));
            usort($this->all, static fn (Screen $a, Screen $b): int => $a->position <=> $b->position);
        }

        return $this->all;
    }

    public static function screen(Design $design, string $id): Screen
    {
        $screen = $design->layers[$id] ?? null;

        return $screen instanceof Screen ? $screen
            : throw Refusal::because('screen.unknown', 'That screen is not in this project any more.', [$id]);
    }

    /** @throws Refusal when it cannot stand */
    public function of(Screen $screen): ScreenStands
    {
        $found = $this->look($screen);

        return $found instanceof ScreenStands ? $found : throw $found;
    }

    public function find(Screen $screen): ?ScreenStands
    {
        $found = $this->look($screen);

        return $found instanceof ScreenStands ? $found : null;
    }

    public function why(Screen $screen): ?string
    {
        $found = $this->look($screen);

        return $found instanceof Refusal ? $found->getMessage() : null;
    }

    /** @return list<ScreenFace> before a wall, the nearest to it first */
    public function on(string $wall): array
    {
        $faces = [];
        foreach ($this->all() as $screen) {
            if (in_array($wall, $this->wallsOf($screen), true)) {
                $face = $this->find($screen)->faces[$wall] ?? null;
                if ($face !== null) {
                    $faces[] = $face;
                }
            }
        }
        usort($faces, static fn (ScreenFace $a, ScreenFace $b): int => $a->screen->gap <=> $b->screen->gap);

        return $faces;
    }

    /** @return list<string> the walls that a screen stands before, or would */
    public function wallsOf(Screen $screen): array
    {
        $walls = array_map(static fn (Wall $w): string => $w->id, $this->design->wallsOf($screen->outline));
        $some = array_values(array_intersect($walls, $screen->walls));

        return $screen->walls === [] ? $walls : $some;
    }

    /** The wall with which a screen is told that is before none it can stand before. */
    public function home(Screen $screen): ?string
    {
        return $this->wallsOf($screen)[0] ?? $this->design->wallsOf($screen->outline)[0]->id ?? array_key_first($this->design->walls);
    }

    private function look(Screen $screen): ScreenStands|Refusal
    {
        if (! isset($this->found[$screen->id])) {
            try {
                $this->found[$screen->id] = $this->stand($screen);
            } catch (Refusal $why) {
                $this->found[$screen->id] = $why;
            }
        }

        return $this->found[$screen->id];
    }

    /** @throws Refusal */
    private function stand(Screen $screen): ScreenStands
    {
        [$back, $front] = [
            BandLine::along($this->design, $screen, $screen->walls, null, $screen->gap),
            BandLine::along($this->design, $screen, $screen->walls, null, $screen->front()),
        ];
        $floor = $this->design->storeys->floor($screen->storey);
        $faces = [];
        $idle = array_map(static fn (ScreenPart $p): int => $p->n, $screen->parts);
        foreach ($back->stretches as $i => $stretch) {
            $wall = $this->design->wall((string) $back->walls[$i]);
            $surface = $wall->surface();
            $ends = [];
            foreach ([false, true] as $right) {
                $of = static fn (Curve $c): float => $surface->u($right ? $c->end() : $c->start());
                $joined = self::joined($back, $i, $right);
                $ends[] = new ScreenEnd($of($stretch), $of($front->stretches[$i]), $joined, $right);
            }
            [$region, $cuts, $did] = $this->region($screen, $wall, $ends, $floor);
            $idle = array_diff($idle, $did);
            if ($region !== []) {
                $behind = $this->behind($screen, $wall->id);
                $units = $this->units($screen, $wall, $cuts);
                $faces[$wall->id] = new ScreenFace($screen, $wall->id, $surface, $ends, $region, $behind, $cuts, $units);
            }
        }
        if ($faces === []) {
            throw Refusal::because('screen.nothing', sprintf('Nothing of %s is left.', $screen->name), [$screen->id]);
        }
        foreach ($faces as $face) {
            $face->returns(); // or says why they cannot be made
        }

        return new ScreenStands($screen, $faces, array_values($idle));
    }

    private static function joined(BandLine $line, int $i, bool $right): bool
    {
        $n = count($line->stretches);
        $other = $right ? $i + 1 : $i - 1;
        if (! isset($line->stretches[$other])) {
            if (! $line->closed || $n < 2) {
                return false;
            }
            $other = ($other + $n) % $n;
        }

        return $right
            ? $line->stretches[$i]->end()->isAt($line->stretches[$other]->start())
            : $line->stretches[$other]->end()->isAt($line->stretches[$i]->start());
    }

    /**
     * @param  array{ScreenEnd, ScreenEnd}  $ends
     * @return array{list<Profile>, array<int, non-empty-list<Contour>>, list<int>} in (u, level); its cut-outs as
     *    they lie, and which parts did something
     *
     * @throws Refusal
     */
    private function region(Screen $screen, Wall $wall, array $ends, float $floor): array
    {
        [$from, $to] = [$ends[0]->outermost(), $ends[1]->outermost()];
        $region = $cuts = $did = [];
        /** @var list<array{int, Contour}> $waiting cut-outs that follow one another, which are taken together */
        $waiting = [];
        foreach ($screen->parts as $part) {
            foreach ($this->contours($screen, $part, $wall, $from, $to, $floor) as $contour) {
                if ($part->cut) {
                    $cuts[$part->n][] = $contour;
                    $waiting[] = [$part->n, $contour];
                } else {
                    [$region, $took] = self::taken($region, $waiting);
                    $waiting = [];
                    $region = ScreenRegion::with($region, $contour);
                    array_push($did, $part->n, ...$took);
                }
            }
        }
        [$region, $took] = self::taken($region, $waiting);
        array_push($did, ...$took);
        foreach ($ends as $k => $end) {
            // at a free end of a flat stretch it may reach past its wall
            if ($region === [] || (! $end->joined && $wall->surface()->isFlat())) {
                continue;
            }
            $at = $end->outermost();
            $boxes = array_map(static fn (Profile $p): array => $p->outer->bounds(), $region);
            $over = $k === 1 ? max(array_column($boxes, 2)) - $at : $at - min(array_column($boxes, 0));
            if ($over > 0.01) {
                [$low, $high] = [min(array_column($boxes, 1)) - 10.0, max(array_column($boxes, 3)) + 10.0];
                $region = Overlay::difference($region, [new Profile(
                    $k === 1 ? Contour::rectangle($at, $low, $at + $over + 10.0, $high)
                        : Contour::rectangle($at - $over - 10.0, $low, $at, $high),
                )]);
            }
        }
        $region = array_values(array_filter($region, static fn (Profile $p): bool => $p->area() > 1.0));

        return [$region, $cuts, $did];
    }

    /**
     * @param  list<Profile>  $region
     * @param  list<array{int, Contour}>  $waiting
     * @return array{list<Profile>, list<int>} what is left, and which took something of it
     */
    private static function taken(array $region, array $waiting): array
    {
        [$left, $idle] = $waiting === [] ? [$region, []] : ScreenRegion::without($region, array_column($waiting, 1));

        return [$left, array_column(array_diff_key($waiting, array_flip($idle)), 0)];
    }

    /**
     * @return list<Contour> of a part before one wall, in (u, level)
     *
     * @throws Refusal
     */
    private function contours(Screen $screen, ScreenPart $part, Wall $wall, float $from, float $to, float $floor): array
    {
        $shape = $part->shape;
        if ($shape->form === ScreenForm::Openings) {
            $found = [];
            foreach ($shape->around as $id) {
                $opening = $this->design->openings[$id] ?? null;
                if ($opening === null || $opening->host !== $wall->id) {
                    continue;
                }
                $placed = Places::in($this->design)->of($opening);
                $outline = $placed->outline?->shifted($placed->left, $placed->sill)
                    ?? Contour::rectangle($placed->left, $placed->sill, $placed->right, $placed->head);
                $found = ScreenRegion::with($found, ScreenShape::grown($outline, $shape->grow));
            }

            return array_map(static fn (Profile $p): Contour => $p->outer, $found);
        }
        if ($part->wall !== null && $part->wall !== $wall->id) {
            return [];
        }
        try {
            return [ScreenPlaces::shape($this->design, $screen, $part)->contour($from, $to)->shifted(0.0, $floor)];
        } catch (Refusal $why) {
            throw Refusal::because($why->reason, sprintf('Number %d of %s: %s', $part->n, $screen->name, $why->getMessage()), [$screen->id],
                $why->details + ['part' => $part->n]);
        }
    }

    /**
     * @param  array<int, non-empty-list<Contour>>  $cuts
     * @return list<ScreenUnit>
     *
     * @throws Refusal when a cut-out is too small for its unit, or the wall is an arc
     */
    private function units(Screen $screen, Wall $wall, array $cuts): array
    {
        $units = [];
        foreach ($screen->parts as $part) {
            $type = $this->design->types[$part->type ?? ''] ?? null;
            if ($type === null || ! isset($cuts[$part->n])) {
                continue;
            }
            $contour = $cuts[$part->n][0];
            if ($wall->isCurved()) {
                throw Refusal::because('screen.unit_curved', sprintf(
                    'Number %d of %s lies before an arc: a unit fills cut-outs before flat walls.', $part->n, $screen->name,
                ), [$screen->id]);
            }
            [$u, $level] = $contour->bounds();
            try {
                $unit = Solver::solve($type->tree(), $contour->width(), $contour->height(), $part->mirrored);
            } catch (Refusal $why) {
                throw Refusal::because('screen.unit_no_room', sprintf(
                    'Number %d of %s is %s wide and %s high, too small for %s: %s', $part->n, $screen->name,
                    Length::mark($contour->width()), Length::mark($contour->height()), $type->mark, $why->getMessage(),
                ), [$screen->id], $why->details);
            }
            $units[] = new ScreenUnit($part->n, $type->id, $u, $level, $unit);
        }

        return $units;
    }

    /** How far out lies what is behind a screen: the front of the nearest other one between it and the wall, or the wall itself, mm. */
    private function behind(Screen $screen, string $wall): float
    {
        $behind = 0.0;
        foreach ($this->all() as $other) {
            if ($other->id !== $screen->id && $other->front() <= $screen->gap + 1e-6 && in_array($wall, $this->wallsOf($other), true)) {
                $behind = max($behind, $other->front());
            }
        }

        return $behind;
    }

    /** "a rectangle 1 200 × 900 at 3 000, 1 100": what a part is, in words with figures. */
    public static function words(ScreenPart $part): string
    {
        $shape = $part->shape;
        $mm = Length::mark(...);

        return match ($shape->form) {
            ScreenForm::Whole => sprintf('the whole width, from %s to %s', $mm($shape->v), $mm($shape->v + $shape->height)),
            ScreenForm::Rectangle => sprintf('%s × %s%s', $mm($shape->width), $mm($shape->height),
                $shape->radius > 0 ? ', corners of '.$mm($shape->radius) : ''),
            ScreenForm::Round => 'round, '.$mm($shape->width),
            ScreenForm::Polygon => sprintf('drawn, %d corners', count($shape->points)),
            ScreenForm::Openings => sprintf('round %d %s, by %s', count($shape->around),
                count($shape->around) === 1 ? 'opening' : 'openings', $mm($shape->grow)),
        };
    }
}
