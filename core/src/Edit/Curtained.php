<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\Grid;
use Isleward\Core\Design\Alignment;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A stretch that is curtain wall, or an opening that is filled with it. */
final readonly class Curtained
{
    private function __construct(public Wall|Opening $element, public Curtain $curtain)
    {
    }

    /**
     * @param  list<string>  $ids
     * @return non-empty-list<self>
     *
     * @throws Refusal when one is no curtain wall
     */
    public static function of(Design $design, array $ids): array
    {
        $out = [];
        foreach (array_unique($ids) as $id) {
            $element = Kind::Opening->isOf($id) ? $design->opening($id) : $design->wall($id);
            $out[] = new self($element, $element->curtain ?? throw Refusal::because(
                'curtain.none',
                'What is chosen is no curtain wall.',
                [$id],
            ));
        }

        return $out === [] ? throw Refusal::because('curtain.none_chosen', 'Choose a curtain wall first.') : $out;
    }

    public function with(Curtain $curtain): Operation
    {
        return Operation::alter($this->element, $this->element instanceof Opening
            ? $this->element->withCurtain($curtain)
            : $this->element->withCurtain($curtain, $this->element->thickness));
    }

    /** @return list<string> the walls that "bays" and "rows" put it in line with */
    public static function alignedTo(Fields $args): array
    {
        $walls = [];
        foreach (['bays', 'rows'] as $axis) {
            array_push($walls, ...$args->has($axis) ? Alignment::from($args->fields($axis))->walls : []);
        }

        return array_values(array_unique($walls));
    }

    /**
     * That what its lines are put in line with lies over against it.
     *
     * @param  bool  $ofFacet  a facet has one bay, whatever it is in line with
     *
     * @throws Refusal when it would have no line of it
     */
    public static function requireLines(Fields $args, Grid $grid, string $id, bool $ofFacet = false): void
    {
        foreach (['bays' => $ofFacet ? null : $grid->bays, 'rows' => $grid->rows] as $axis => $lines) {
            if ($args->has($axis) && $lines !== null && count($lines->at) === 2) {
                throw Refusal::because(
                    'curtain.aligned_nothing',
                    $axis === 'bays'
                        ? 'Nothing of that lies square over against this curtain wall: it would have one bay.'
                        : 'Nothing of that lies between its foot and its head: it would have one row.',
                    [$id],
                    ['field' => $axis],
                );
            }
        }
    }
}
