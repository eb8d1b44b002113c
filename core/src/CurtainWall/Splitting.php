<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Cells split by free members. A member takes a strip of every cell it crosses and leaves what lies on either side of it; what stands
 * in the way, a mullion or a free member drawn before it, runs through, and it goes on behind that. With the strips the parts fill the
 * cells they came from; where a free member is taken away they are whole again, since they are worked out anew from the grid.
 */
final class Splitting
{
    /** Parts smaller than this are none, mm². */
    private const NOTHING = 1e-3;

    /** @var list<GridCell> */
    private array $cells;

    /** @var list<FreePiece> */
    private array $pieces = [];

    /** @param  list<GridCell>  $cells */
    private function __construct(array $cells)
    {
        $this->cells = $cells;
    }

    /**
     * @param  list<FreeMember>  $members
     * @param  bool  $asKept  one that makes no sense any more is left out and told
     *
     * @throws Refusal naming the first that nothing holds, or that crosses no cell
     */
    public static function of(Grid $grid, array $members, bool $asKept = false): Grid
    {
        if ($members === []) {
            return $grid;
        }
        $splitting = new self($grid->cells);
        $lost = [];
        foreach ($members as $i => $member) {
            [$cells, $pieces] = [$splitting->cells, $splitting->pieces];
            try {
                $splitting->requireHeld($member, $i + 1);
                $splitting->split($member, $i + 1);
            } catch (Refusal $refusal) {
                [$splitting->cells, $splitting->pieces] = [$cells, $pieces];
                $lost[] = $asKept ? new Lost(Lost::FREE, $refusal->getMessage()) : throw $refusal;
            }
        }

        return $grid->with($splitting->cells, $splitting->pieces, $lost);
    }

    /** Both its ends lie on an edge, or on something that stands. */
    private function requireHeld(FreeMember $member, int $number): void
    {
        foreach ([$member->from, $member->to] as $end) {
            foreach ($this->cells as $cell) {
                $inside = self::inside($cell->contour(), $end);
                if ($inside > Tolerance::LENGTH) {
                    throw Refusal::because(
                        'free.unheld',
                        sprintf(
                            'Free member %d ends %s along and %s up, in the middle of %s, where nothing holds it.',
                            $number,
                            Length::mark($end->x),
                            Length::mark($end->y),
                            $cell->name(),
                        ),
                        details: ['member' => $number, 'u' => $end->x, 'v' => $end->y],
                    );
                }
            }
        }
    }

    private function split(FreeMember $member, int $number): void
    {
        $along = $member->along();
        $half = $along->rightHand()->times($member->profile->face / 2);
        $left = [$member->from->minus($half), $member->to->minus($half)];
        $right = [$member->from->plus($half), $member->to->plus($half)];
        $cells = [];
        $crossed = false;
        foreach ($this->cells as $cell) {
            $contour = $cell->contour();
            // what of it lies over the member itself, from its one end to the other
            $over = self::cut([$contour], [
                $right, array_reverse($left), [$member->from, $member->from->plus($half)], [$member->to, $member->to->minus($half)],
            ]);
            if (self::area($over) < self::NOTHING) {
                $cells[] = $cell;

                continue;
            }
            $seen = self::cut([$contour], [$right, array_reverse($left)]);
            $convex = self::isConvex($contour);
            // it takes all of its strip there, of which every part ends in a straight line
            $whole = $convex || array_filter($seen, fn (Contour $c): bool => self::isConvex($c) && self::area(
                self::cut([$c], [[$member->from, $member->from->plus($half)], [$member->to, $member->to->minus($half)]]),
            ) > self::NOTHING) === $seen;
            if ($cell->daylight->holes !== [] || ! $whole) {
                throw Refusal::because(
                    'free.shape',
                    sprintf(
                        'Free member %d would cross %s, which has a corner that turns inward, over that corner or only on one side of it: '
                        .'draw it clear of the corner.',
                        $number,
                        $cell->name(),
                    ),
                    details: ['member' => $number],
                );
            }
            // one along a member only brushes the cells beside it
            $middle = [$member->from, $member->to];
            $halves = [self::cut($over, [$middle]), self::cut($over, [array_reverse($middle)])];
            $crossed = $crossed || min(array_map(self::area(...), $halves)) > 1.0;
            // in a cell it crosses it reaches as far as that does; in one that is not convex there may be several pieces
            if ($convex) {
                $this->pieces[] = new FreePiece($member, $contour, $seen);
            } else {
                foreach ($seen as $strip) {
                    $this->pieces[] = new FreePiece($member, $strip, [$strip], isStrip: true);
                }
            }
            foreach ([array_reverse($right), $left] as $line) {
                foreach (self::cut([$contour], [$line]) as $part) {
                    $cells[] = $cell->with(new Profile($part));
                }
            }
        }
        if (! $crossed) {
            throw Refusal::because(
                'free.crosses_nothing',
                sprintf('Free member %d crosses no cell: it touches nothing, or lies along a member.', $number),
                details: ['member' => $number],
            );
        }
        $this->cells = $cells;
    }

    /**
     * What lies left of all these lines.
     *
     * @param  list<Contour>  $contours
     * @param  list<array<int, Vec2>>  $lines  two points each
     * @return list<Contour>
     */
    private static function cut(array $contours, array $lines): array
    {
        foreach ($lines as [$a, $b]) {
            $next = [];
            foreach ($contours as $contour) {
                array_push($next, ...$contour->leftOf($a, $b));
            }
            $contours = array_values(array_filter($next, static fn (Contour $c): bool => $c->area() > self::NOTHING));
        }

        return $contours;
    }

    /** How far a point lies inside: least distance to its sides, less than nothing outside. */
    private static function inside(Contour $contour, Vec2 $p): float
    {
        $ring = $contour->ring();
        $within = false;
        $least = INF;
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $a = new Vec2($ring[$i], $ring[$i + 1]);
            $b = new Vec2($ring[($i + 2) % $n], $ring[($i + 3) % $n]);
            $side = $b->minus($a);
            $along = max(0.0, min(1.0, $p->minus($a)->dot($side) / $side->dot($side)));
            $least = min($least, $a->plus($side->times($along))->minus($p)->length());
            if (($a->y > $p->y) !== ($b->y > $p->y) && $p->x < ($b->x - $a->x) * ($p->y - $a->y) / ($b->y - $a->y) + $a->x) {
                $within = ! $within;
            }
        }

        return $within ? $least : -$least;
    }

    /** @param  list<Contour>  $contours */
    private static function area(array $contours): float
    {
        return array_sum(array_map(static fn (Contour $c): float => $c->area(), $contours));
    }

    private static function isConvex(Contour $contour): bool
    {
        $ring = $contour->ring();
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $a = new Vec2($ring[$i], $ring[$i + 1]);
            $b = new Vec2($ring[($i + 2) % $n], $ring[($i + 3) % $n]);
            $c = new Vec2($ring[($i + 4) % $n], $ring[($i + 5) % $n]);
            if ($b->minus($a)->cross($c->minus($b)) < -1e-6) {
                return false;
            }
        }

        return true;
    }
}
