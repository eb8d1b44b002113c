<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Stacks walls with their openings of one storey ("from") onto other storeys ("storeys"). Where a wall already runs
 * through the storey, its openings are stacked; elsewhere it is built there again, one storey high.
 */
final readonly class WallStack implements Edit
{
    /**
     * @param  list<string>  $walls
     * @param  list<string>  $storeys
     */
    private function __construct(private array $walls, private string $from, private array $storeys, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $walls = array_values(array_unique($args->strings('walls')));
        $storeys = array_values(array_unique($args->strings('storeys')));
        if ($walls === [] || $storeys === []) {
            throw Refusal::because('stack.none', 'Choose walls, and a storey to stack onto.');
        }

        return new self($walls, $args->string('from'), $storeys, $args);
    }

    public function scope(): Scope
    {
        // where another wall stands already its openings count, and which wall that is only the design knows
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $design->storeys->get($this->from);
        $built = $this->build($design, $ids);
        $operations = array_merge(...array_map(static fn (array $b): array => $b[0], $built));
        $then = $design->after(new Change('', $operations));
        Standing::require($then, $design);
        $attempt = Attempt::from($then, $this->args);
        $transplant = new Transplant($then, $attempt);
        foreach ($built as [, $storey, $onto]) {
            foreach ($this->walls as $id) {
                foreach ($design->openingsOf($id) as $opening) {
                    if ($opening->storey === $this->from) {
                        $copy = $transplant->onStorey($opening, $storey, $ids->next(Kind::Opening));
                        $attempt->add($onto[$id] === $id ? $copy : $copy->withHost($onto[$id]));
                    }
                }
            }
        }
        // walls are stacked without openings too
        $stacked = $attempt->isEmpty() && $operations !== [] ? new Change('', []) : $attempt->change(static fn (int $n): string => '');
        $summary = sprintf(
            'Stacked %s with %s',
            Words::counts(['wall' => count($this->walls)]),
            Words::counts(['opening' => count($stacked->chosen)]),
        );

        return new Change(
            $summary,
            [...$operations, ...$stacked->operations],
            $stacked->chosen,
            $stacked->misfits,
            $stacked->notes,
            $stacked->fittingOnly,
            $stacked->wanted,
        );
    }

    /**
     * @return list<array{list<Operation>, string, array<string, string>}> for each storey: what is built, the storey, and wall → wall that
     *    stands there
     */
    private function build(Design $design, Ids $ids): array
    {
        $built = [];
        $outlines = count($design->outlines);
        foreach ($this->storeys as $storey) {
            if ($storey === $this->from) {
                throw Refusal::because(
                    'stack.onto_itself',
                    sprintf('%s is where they are.', ucfirst($design->storeys->get($storey)->said())),
                    [$storey],
                );
            }
            $operations = $onto = $copies = [];
            foreach ($this->walls as $id) {
                $wall = $design->wall($id);
                if (! $design->storeys->isWithin($this->from, $wall->base, $wall->top)) {
                    throw Refusal::because(
                        'opening.not_on_storey',
                        sprintf('One of these walls does not run through %s.', $design->storeys->get($this->from)->said()),
                        [$id],
                    );
                }
                $there = $this->standing($design, $wall, $storey);
                if ($there !== null) {
                    $onto[$id] = $there->id;

                    continue;
                }
                if (! isset($copies[$wall->outline])) {
                    $outline = $design->outline($wall->outline);
                    $copies[$wall->outline] = $copy = $outline->another(
                        $ids->next(Kind::Outline),
                        mb_substr($outline->name.', '.$design->storeys->get($storey)->name, 0, 80),
                        $outlines++,
                    );
                    $operations[] = Operation::add($copy);
                }
                $new = $wall->withId($ids->next(Kind::Wall))->withOutline($copies[$wall->outline]->id)
                    ->withBase($storey)->withTop($storey)
                    ->withHead($wall->head?->elsewhere())->withFoot($wall->foot?->elsewhere());
                $operations[] = Operation::add($new);
                $onto[$id] = $new->id;
            }
            $built[] = [$operations, $storey, $onto];
        }

        return $built;
    }

    /** The wall on a wall's line that runs through a storey already. */
    private function standing(Design $design, Wall $wall, string $storey): ?Wall
    {
        if ($design->storeys->isWithin($storey, $wall->base, $wall->top)) {
            return $wall;
        }
        foreach ($design->walls as $other) {
            if ($other->from->isAt($wall->from)
                            && $other->to->isAt($wall->to)
                            && $design->storeys->isWithin($storey, $other->base, $other->top)) {
                return $other;
            }
        }

        return null;
    }
}
