<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Rooflight;
use Isleward\Core\Roof\Roofs;

/** Takes rooflights out of a roof, by their numbers; it is whole there again. */
final readonly class RooflightRemove implements Edit
{
    /** @param  non-empty-list<int>  $ns */
    private function __construct(private string $roof, private array $ns)
    {
    }

    public static function from(Fields $args): self
    {
        $ns = array_values(array_unique($args->counts('ns')));

        return new self(
            $args->string('id'), $ns === [] ? throw Refusal::because('rooflight.none_chosen', 'Choose a rooflight first.') : $ns,
        );
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $roof = Roofs::roof($design, $this->roof);
        foreach ($this->ns as $n) {
            RooflightPlace::light($roof, $n);
        }

        return new Change(
            count($this->ns) === 1
                ? sprintf('Removed rooflight %d of %s', $this->ns[0], $roof->name)
                : sprintf('Removed %d rooflights of %s', count($this->ns), $roof->name),
            [Operation::alter($roof, $roof->withLights(
                array_filter($roof->lights, fn (Rooflight $l): bool => ! in_array($l->n, $this->ns, true)),
            ))],
            [$roof->id],
        );
    }
}
