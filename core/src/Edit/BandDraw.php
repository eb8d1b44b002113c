<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Law\Law;
use Isleward\Core\Layer\Law\LawKind;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Draws on the curve of the law of a band's size ("of"): drags a "handle" of it to a share of the run ("at") and a value, adds a point to a
 * drawn curve (no handle), takes one away ("remove"); or makes it a law of another "kind", as near to what it is as that can be.
 */
final readonly class BandDraw implements Edit
{
    private function __construct(private string $id, private Quantity $of, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'), $args->choice('of', Quantity::class), $args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $band = Bands::band($design, $this->id);
        $after = $band->withLaw($this->of, $this->law($design, $band));
        $change = new Change('', [Operation::alter($band, $after)]);
        $fins = Bands::in($design->after($change))->of($after);

        return new Change(
            sprintf('Drew the %s of %s', $this->of->value, $band->name), $change->operations, [$band->id], wanted: $fins->count(),
        );
    }

    private function law(Design $design, Band $band): Law
    {
        $law = $band->law($this->of);
        $driven = $this->of->driven();
        if ($this->args->has('kind')) {
            return $law->become($this->args->choice('kind', LawKind::class), $driven, Bands::in($design)->of($band)->spread($this->of));
        }
        if ($this->args->bool('remove')) {
            return $law->withoutPoint($this->args->string('handle'), $driven);
        }
        $at = $this->args->shareOrNull('at') ?? throw Refusal::because('law.at', 'Say where along the run it is drawn.', details: [
            'field' => 'at',
        ]);
        $value = $driven->value($this->args, 'value');

        return $this->args->has('handle')
            ? $law->dragged($this->args->string('handle'), $at, $value, $driven)
            : $law->withPoint($at, $value, $driven);
    }
}
