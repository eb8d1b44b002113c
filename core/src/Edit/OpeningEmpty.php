<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Takes the units out of openings and leaves them bare. */
final readonly class OpeningEmpty implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(Chosen::openings($args));
    }

    public function scope(): Scope
    {
        return Scope::ofOpenings(...$this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $operations = [];
        foreach ($this->ids as $id) {
            $opening = $design->opening($id);
            if (! $opening->isBare()) {
                $operations[] = Operation::alter($opening, $opening->withType(null));
            }
        }
        if ($operations === []) {
            throw Refusal::because('empty.none_filled', 'All of these are bare already.');
        }

        return new Change(
            sprintf('Emptied %s', Words::counts(['opening' => count($operations)])),
            $operations,
            $this->ids,
            wanted: count($this->ids),
        );
    }
}
