<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Alignment;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Fields;

/**
 * Fills openings with curtain wall of a grid type, in place of what is in them; those that have one keep what was changed by hand. Its
 * lines may be in line with what other walls have: "bays", "rows", null for as its type sets them out.
 */
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
        return Scope::around($this->ids, Curtained::alignedTo($this->args));
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $grid = Runs::type($design, $this->grid);
        $attempt = Attempt::from($design, $this->args);
        foreach ($this->ids as $id) {
            $opening = $design->opening($id);
            $curtain = $opening->curtain?->withGrid($grid->id()) ?? Curtain::by($grid->id());
            $attempt->alter($opening, $opening->withCurtain($curtain->aligned(self::alignments($this->args))));
        }
        $change = $attempt->change(
            static fn (int $n): string => sprintf('Filled %s with %s', Words::counts(['opening' => $n]), $grid->mark()),
        );
        $then = $design->after($change);
        foreach ($this->args->has('bays') || $this->args->has('rows') ? $change->operations : [] as $operation) {
            if ($operation->after instanceof Opening) {
                $placed = Places::in($then)->of($operation->after);
                Curtained::requireLines($this->args, LetIn::of($then, $placed)->stretches[0]->grid(), $operation->id);
            }
        }

        return $change;
    }

    /** @return array{bays?: Alignment|null, rows?: Alignment|null} those that are said */
    private static function alignments(Fields $args): array
    {
        $said = [];
        foreach (['bays', 'rows'] as $axis) {
            if (array_key_exists($axis, $args->all())) {
                $said[$axis] = $args->has($axis) ? Alignment::from($args->fields($axis)) : null;
            }
        }

        return $said;
    }
}
