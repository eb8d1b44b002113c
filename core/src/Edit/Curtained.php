<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
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
}
