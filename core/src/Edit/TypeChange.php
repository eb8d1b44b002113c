<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Building\Solved;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\TypeMark;
use Isleward\Core\Design\TypeName;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Fields;

/**
 * Changes a unit type: its mark, name, size, usual sill or its make ("tree"). A size stated in its name follows its size. Every
 * opening filled with it follows: those of its size take the new one, those stretched to another keep theirs. An opening it no
 * longer fits is told; with "fit": "fitting" such openings keep the unit they have, as a type of its own.
 */
final readonly class TypeChange implements Edit
{
    private function __construct(private string $id, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'), $args);
    }

    public function scope(): Scope
    {
        foreach (['width', 'height', 'tree'] as $name) {
            if ($this->args->has($name)) {
                return Scope::ofTypes($this->id);
            }
        }

        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $design->type($this->id);
        $given = array_intersect_key($this->args->all(), array_flip(['mark', 'name', 'width', 'height', 'sill', 'tree']));
        $after = UnitType::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        if (! isset($given['name']) && TypeName::size($after->name) !== null) {
            $after = $after->withName(TypeName::withSize($after->name, $after->width, $after->height));
        }
        TypeMark::requireFree($design->types, $after);
        Solved::of($after, $after->width, $after->height);
        $summary = static fn (int $n): string => sprintf('Changed %s', $after->mark);
        if ($this->scope()->types === []) {
            return new Change($summary(0), [Operation::alter($before, $after)], [$this->id]);
        }

        return $this->withOpenings($design, $ids, $before, $after);
    }

    private function withOpenings(Design $design, Ids $ids, UnitType $before, UnitType $after): Change
    {
        $attempt = Attempt::from($design, $this->args);
        $attempt->also(Operation::alter($before, $after));
        $then = Runs::in($design->after(new Change('', [Operation::alter($before, $after)])));
        foreach (Runs::in($design)->chains() as $walls) {
            $why = $then->whyNot($walls[0]->id);
            if ($why !== null && Runs::in($design)->whyNot($walls[0]->id) === null) {
                throw $why;
            }
        }
        $stretched = 0;
        // along each wall and up, so that which of several fit does not hang on the order they were made in
        $filled = array_filter($design->openings, static fn (Opening $o): bool => $o->type === $before->id);
        $places = array_map(Places::in($design)->of(...), $filled);
        uksort(
            $filled,
            static fn (string $a, string $b): int => [
                $places[$a]->opening->host,
                $places[$a]->sill,
                $places[$a]->left,
                $a,
            ] <=> [$places[$b]->opening->host, $places[$b]->sill, $places[$b]->left, $b],
        );
        foreach ($filled as $opening) {
            $own = Tolerance::same($opening->width, $before->width) && Tolerance::same($opening->height, $before->height);
            $stretched += $own ? 0 : 1;
            $attempt->alter($opening, $own ? $opening->withSize($after->width, $after->height) : $opening);
        }
        if ($stretched > 0 && (! Tolerance::same($before->width, $after->width) || ! Tolerance::same($before->height, $after->height))) {
            $attempt->note(sprintf('%s of another size than the type keep theirs.', ucfirst(Words::counts(['opening' => $stretched]))));
        }
        $change = $attempt->change(
            static fn (int $n): string => $n === 0
                            ? sprintf('Changed %s', $after->mark)
                            : sprintf('Changed %s in %s', $after->mark, Words::counts(['opening' => $n])),
        );
        if ($change->misfits === [] || ! $change->fittingOnly) {
            return new Change(
                $change->summary,
                $change->operations,
                [$this->id],
                $change->misfits,
                $change->notes,
                $change->fittingOnly,
                $change->wanted,
            );
        }

        return $this->keeping($design, $ids, $before, $change);
    }

    /** Openings that the changed type does not fit keep the one they have. */
    private function keeping(Design $design, Ids $ids, UnitType $before, Change $change): Change
    {
        $kept = $before->another(
            $ids->next(Kind::Type),
            TypeMark::next($design->types, $before->mark),
            UnitType::lastPosition($design->types) + 1,
        );
        $operations = [...$change->operations, Operation::add($kept)];
        foreach ($change->misfits as $misfit) {
            $opening = $design->opening($misfit->element);
            $operations[] = Operation::alter($opening, $opening->withType($kept->id));
        }
        $count = count($change->misfits);

        return new Change($change->summary, $operations, [$this->id], $change->misfits,
            [
                ...$change->notes,
                sprintf('%s the unit as it was, as type %s.', $count === 1 ? 'One opening keeps' : "$count openings keep", $kept->mark),
            ],
            true, $change->wanted);
    }
}
