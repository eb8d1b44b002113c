<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;

/**
 * Changes a grid type: its mark, name, rules or what stands at its corners. Every place where it stands follows; what was changed there by
 * hand is kept as far as it makes sense, and what does not is told. A place it no longer fits is told; with "fit": "fitting" such places
 * keep the type as it was, as one of their own.
 */
final readonly class GridChange implements Edit
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
        return $this->args->has('rules') || $this->args->has('corner') ? Scope::ofTypes($this->id) : Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = Runs::type($design, $this->id);
        $given = array_intersect_key($this->args->all(), array_flip(['mark', 'name', 'rules', 'corner']));
        $after = GridType::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        GridMark::require($design, $after);
        $operations = [Operation::alter($before, $after), ...self::asDeep($design, $before, $after)];
        $change = new Change(sprintf('Changed %s', $after->mark()), $operations, [$this->id]);
        if ($this->scope()->types === []) {
            return $change;
        }
        $places = GridPlaces::of($design, $this->id);
        $then = $design->after($change);
        $misfits = $places->misfits($then);
        $notes = $places->newlyLost($design, $then);
        $fitting = $this->args->string('fit', 'all') === 'fitting';
        if ($misfits !== [] && $fitting) {
            [$kept, $note] = $this->keeping($design, $ids, $before, $places, $misfits);
            $operations = [...self::but($operations, $kept), ...$kept];
            $notes[] = $note;
        }
        $summary = $places->count() === 0 ? $change->summary : sprintf('%s in %s', $change->summary, $places->said());

        return new Change($summary, $operations, [$this->id], $misfits, $notes, $fitting, $places->count());
    }

    /** @return list<Operation> stretches of the type, as deep as it makes them now */
    private static function asDeep(Design $design, GridType $before, GridType $after): array
    {
        $operations = [];
        foreach ($before->depth() === $after->depth() ? [] : $design->walls as $wall) {
            if ($wall->curtain?->grid === $before->id()) {
                $operations[] = Operation::alter($wall, $wall->withCurtain($wall->curtain, $after->depth()));
            }
        }

        return $operations;
    }

    /**
     * @param  list<Misfit>  $misfits
     * @return array{list<Operation>, string}
     */
    private function keeping(Design $design, Ids $ids, GridType $before, GridPlaces $places, array $misfits): array
    {
        $kept = $before->another($ids->next(Kind::Grid), GridMark::next($design), GridMark::lastPosition($design) + 1);
        $operations = [Operation::add($kept)];
        foreach ($misfits as $misfit) {
            $opening = $places->openings[$misfit->element] ?? null;
            if ($opening?->curtain !== null) {
                $operations[] = Operation::alter($opening, $opening->withCurtain($opening->curtain->withGrid($kept->id())));

                continue;
            }
            foreach ($places->runs as $walls) {
                foreach ($walls[0]->id === $misfit->element ? $walls : [] as $wall) {
                    if ($wall->curtain?->grid === $this->id) {
                        $operations[] = Operation::alter($wall, $wall->withCurtain(
                            $wall->curtain->withGrid($kept->id()),
                            $wall->thickness,
                        ));
                    }
                }
            }
        }
        $count = count($misfits);

        return [$operations, sprintf(
            '%s the grid as it was, as type %s.',
            $count === 1 ? 'One place keeps' : "$count places keep",
            $kept->mark(),
        )];
    }

    /**
     * @param  list<Operation>  $operations
     * @param  list<Operation>  $others
     * @return list<Operation> those about elements that the others are not about
     */
    private static function but(array $operations, array $others): array
    {
        $about = array_flip(array_map(static fn (Operation $o): string => $o->id, $others));

        return array_values(array_filter($operations, static fn (Operation $o): bool => ! isset($about[$o->id])));
    }
}
