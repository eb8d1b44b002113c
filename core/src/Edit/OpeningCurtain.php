<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Measure\Fields;

/** Fills openings with curtain wall of a grid type, in place of what is in them; those that have one keep what was changed by hand. */
final readonly class OpeningCurtain implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private string $grid, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(Chosen::openings($args), $args->string('grid'), $args);
    }

    public function scope(): Scope
    {
        return Scope::around($this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $grid = Runs::type($design, $this->grid);
        $attempt = Attempt::from($design, $this->args);
        foreach ($this->ids as $id) {
            $opening = $design->opening($id);
            $attempt->alter($opening, $opening->withCurtain($opening->curtain?->withGrid($grid->id()) ?? Curtain::by($grid->id())));
        }

        return $attempt->change(
            static fn (int $n): string => sprintf('Filled %s with %s', Words::counts(['opening' => $n]), $grid->mark()),
        );
    }
}
