<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\End;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Bend;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/**
 * A chain of walls given new corners: some walls keep their ids, some are new. Openings keep their rules; those that no longer fit are
 * told.
 */
final class Reshape
{
    /** @var array<int, Side> in order, from 0 */
    public array $sides = [];

    private function __construct(private readonly Design $design, public readonly Outline $outline)
    {
    }

    public static function of(Design $design, Outline $outline): self
    {
        $shape = new self($design, $outline);
        foreach ($design->wallsOf($outline->id) as $wall) {
            $shape->sides[] = Side::of($wall);
        }

        return $shape;
    }

    public function indexOf(string $wall): int
    {
        foreach ($this->sides as $i => $side) {
            if ($side->like->id === $wall) {
                return $i;
            }
        }
        throw new \LogicException('The wall is not of this outline.');
    }

    /** The side before (−1) or after (+1), when the chain goes on there. */
    public function beside(int $i, int $step): ?int
    {
        $n = count($this->sides);
        $j = $i + $step;
        if ($this->outline->closed) {
            return ($j + $n) % $n;
        }

        return $j >= 0 && $j < $n ? $j : null;
    }

    public function setFrom(int $i, Vec2 $from): void
    {
        $this->sides[$i] = $this->sides[$i]->from($from);
    }

    public function setTo(int $i, Vec2 $to): void
    {
        $this->sides[$i] = $this->sides[$i]->to($to);
    }

    /**
     * Where side $i would meet a stretch that is moved, near an end of that; null when they run alike. An arc is met on its own circle when
     * it keeps its radius; else its end goes to where that of the stretch is.
     */
    public function meet(int $i, Curve $moved, Vec2 $near): ?Vec2
    {
        $side = $this->sides[$i];
        $curve = $side->wall($side->like->id, 0)->face();
        if (! $curve->isCurved() && ! $moved->isCurved()) {
            return $curve->meetsLine($moved);
        }
        if ($curve->isCurved() && $side->like->keeps !== Bend::Radius) {
            return $near;
        }

        return End::crossing($curve, $moved, $near);
    }

    /**
     * The change it comes to, checked, with the ids of walls in order.
     *
     * @return array{Change, list<string>}
     *
     * @throws Refusal when the walls cannot stand so
     */
    public function change(Ids $ids): array
    {
        $walls = $operations = $order = [];
        foreach (array_values($this->sides) as $i => $side) {
            [$like, $way] = [$side->like, $side->to->minus($side->from)];
            if ($way->length() <= Tolerance::LENGTH
                || (! $side->new && $way->dot($like->to->minus($like->from)) <= 0 && $way->length() < $like->from->distanceTo($like->to))) {
                throw Refusal::because('outline.turned_over', sprintf('Side %d would be left with no length.', $i + 1), [$like->id]);
            }
            $walls[] = $wall = $side->wall($side->new ? $ids->next(Kind::Wall) : $like->id, $i);
            $operations[] = $side->new ? Operation::add($wall) : Operation::alter($this->design->wall($like->id), $wall);
            $order[] = $wall->id;
        }
        OutlineShape::require(array_map(static fn (Wall $w): Curve => $w->face(), $walls), $this->outline->closed);
        $change = new Change('', $operations);
        Bodies::of($this->design->after($change));
        Standing::requireRuns($this->design->after($change), $this->design);

        return [$change, $order];
    }

    /**
     * The whole change: what can no longer be measured from what it was is given a figure of its own, in the place it had
     * along its wall; and what no longer fits is noted.
     *
     * @param  list<Operation>  $operations
     * @param  list<string>  $walls  of the outline, as they are now
     */
    public static function settled(Design $design, string $summary, array $operations, string $chosen, array $walls): Change
    {
        [$operations, $notes] = self::measured($design, $operations);

        return new Change(
            $summary,
            $operations,
            [$chosen],
            notes: [
                ...$notes,
                ...self::told($design, $design->after(new Change('', $operations)), $walls),
            ],
        );
    }

    /**
     * These operations, and a figure of its own for each line and opening that can no longer be measured from what it was; with what is to
     * be said of that.
     *
     * @param  list<Operation>  $operations
     * @return array{list<Operation>, list<string>}
     */
    public static function measured(Design $design, array $operations): array
    {
        $then = $design->after(new Change('', $operations));
        $byId = [];
        foreach ($operations as $operation) {
            $byId[$operation->id] = $operation;
        }
        $notes = [];
        foreach ([...array_values($then->lines), ...array_values($then->openings)] as $element) {
            $ref = $element instanceof Opening ? $element->position->along->ref : $element->ref();
            if ($ref === null || self::holds($then, $element)) {
                continue;
            }
            $before = $element instanceof Opening ? $design->opening($element->id) : $design->line($element->id);
            $own = $before instanceof Opening
                            ? References::onItsOwn($design, $before, [$ref => true])
                            : References::lineOnItsOwn($design, $before);
            $byId[$element->id] = Operation::alter($before, self::inPlace($design, $then, $own, $element->host));
            $notes[] = sprintf(
                '%s can no longer be measured from what it was: it gets a figure of its own.',
                ucfirst(References::label($design, $before)),
            );
        }

        return [array_values($byId), array_slice(array_unique($notes), 0, 20)];
    }

    /** With a figure that leaves it on its spot, as far as its wall still goes there. */
    private static function inPlace(Design $design, Design $then, Opening|SettingOutLine $own, string $on): Opening|SettingOutLine
    {
        $now = $then->host($on);
        $was = Places::in($design)->surface($design->host($own->host));
        $across = static fn (float $u): float => Places::in($then)->surface($now)->u($was->inPlan($u));
        if ($own instanceof Opening) {
            return $own->withHost($on)->withPosition(Places::in($then)->positionAt(
                $own->position,
                $now,
                $own,
                $across(Places::in($design)->of($own)->left),
            )
            );
        }

        $moved = $own->withHost($on);

        return $own->rule instanceof Along
            ? $moved->withRule(Places::in($then)->alongAt($own->rule, $now, $across(Places::in($design)->line($own))))
            : $moved;
    }

    private static function holds(Design $design, Opening|SettingOutLine $element): bool
    {
        try {
            References::require($design, $element);

            return true;
        } catch (Refusal) {
            return false;
        }
    }

    /**
     * What of the openings and lines on these walls no longer fits after a change, as sentences.
     *
     * @param  list<string>  $walls
     * @return list<string>
     */
    private static function told(Design $before, Design $after, array $walls): array
    {
        $bodies = Bodies::of($after);
        $told = [];
        foreach (array_intersect_key($bodies, array_flip($walls)) as $body) {
            foreach ($after->openingsOf($body->host->id()) as $opening) {
                $p = Places::in($after)->of($opening);
                $what = sprintf('%s on %s', ucfirst($after->label($opening)), $after->storeys->get($opening->storey)->name);
                $was = self::fits($before, $opening);
                if ($p->isOff($body)) {
                    $told[] = "$what would lie off its wall.";
                } elseif ($was && ($p->left < $body->start() - 0.01 || $p->right > $body->end() + 0.01)) {
                    $told[] = "$what would run past the end of its wall.";
                }
            }
        }

        return $told;
    }

    private static function fits(Design $design, Opening $opening): bool
    {
        if (! isset($design->openings[$opening->id])) {
            return true;
        }
        $p = Places::in($design)->opening($opening->id);
        [$start, $end] = Places::in($design)->span($design->host($p->opening->host));

        return $p->left >= $start - 0.01 && $p->right <= $end + 0.01;
    }
}
