<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Parts a grid type off: these stretches and openings ("ids", all of one type) have one of their own then, which leaves the others alone. */
final readonly class GridOwn implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->strings('ids'));
    }

    public function scope(): Scope
    {
        return Scope::ofOpenings(...array_filter($this->ids, Kind::Opening->isOf(...)));
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $curtains = Curtained::of($design, $this->ids);
        $like = $curtains[0]->curtain->grid;
        foreach ($curtains as $curtained) {
            if ($curtained->curtain->grid !== $like) {
                throw Refusal::because(
                    'grid.mixed',
                    sprintf(
                        'These are of different types: %s and %s. Choose those of one.',
                        $design->grid($like)->mark(),
                        $design->grid($curtained->curtain->grid)->mark(),
                    ),
                    $this->ids,
                );
            }
        }
        $type = Runs::type($design, $like);
        $own = $type->another($ids->next(Kind::Grid), GridMark::next($design), GridMark::lastPosition($design) + 1);
        $operations = [Operation::add($own)];
        foreach ($curtains as $curtained) {
            $operations[] = $curtained->with($curtained->curtain->withGrid($own->id()));
        }

        return new Change(sprintf('Made %s a grid type of its own', $own->mark()), $operations, $this->ids);
    }
}
