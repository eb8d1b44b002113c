<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;

/**
 * Removes openings; the wall closes. When others are placed from them it is refused with what hangs on them, until
 * "keepFigures" is true: then those stay where they are with figures of their own.
 */
final readonly class OpeningRemove implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private bool $keepFigures)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(Chosen::openings($args), $args->bool('keepFigures'));
    }

    public function scope(): Scope
    {
        return Scope::withReferrers($this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $openings = array_map($design->opening(...), $this->ids);
        $what = count($openings) === 1 ? $design->label($openings[0]) : Words::counts(['opening' => count($openings)]);
        $gone = array_flip($this->ids);
        Hanging::requireNoneUnless($this->keepFigures, $design, $gone, ucfirst($what));

        return new Change(
            sprintf('Removed %s', $what),
            [...References::letGo($design, $gone), ...array_map(Operation::remove(...), $openings)],
        );
    }
}
