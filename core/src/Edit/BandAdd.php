<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\OwnLine;
use Isleward\Core\Measure\Fields;

/**
 * Stands a band of fins or tubes along an "outline", or along "walls" of one; or along a line of its own, drawn as outlines are. What is
 * not said is as is usual: flat fins, as high as their storey, 200 apart.
 */
final readonly class BandAdd implements Edit
{
    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $given = $this->args->all();
        $where = ['outline' => $this->args->stringOrNull('outline'), 'line' => null];
        if ($this->args->has('walls') && $this->args->strings('walls') !== []) {
            $where['outline'] ??= $design->wall($this->args->strings('walls')[0])->outline;
        }
        if ($where['outline'] === null) {
            $where['line'] = self::line($this->args);
        }
        $storey = $this->args->string('storey');
        $height = $design->storeys->get($storey)->height - ($this->args->has('foot') ? $this->args->length('foot') : 0.0);
        $laws = $this->args->has('laws') ? $this->args->array('laws') : [];
        $position = BandRules::lastPosition($design) + 1;
        $band = Band::from(new Fields([
            ...array_diff_key($given, ['points' => 1, 'rectangle' => 1, 'circle' => 1, 'closed' => 1, 'closing' => 1]), ...$where,
            'id' => $ids->next(Kind::Band), 'position' => $position,
            'name' => $this->args->string('name', '') === '' ? BandRules::freeName($design, 'Band') : $this->args->string('name'),
            'laws' => $laws + (($given['stand'] ?? 'standing') === 'standing' ? ['length' => $height] : ['length' => 150.0]),
        ], $this->args->units()));
        BandRules::require($design, $band);
        $change = new Change('', [Operation::add($band)]);
        $count = Bands::in($design->after($change))->of($band)->count();

        return new Change(sprintf('Stood %d pieces as %s', $count, $band->name), $change->operations, [$band->id], wanted: $count);
    }

    /** @return array<string, mixed> the line that was drawn */
    public static function line(Fields $args): array
    {
        $closed = $args->bool('closed') || $args->has('rectangle') || $args->has('circle');
        $drawn = DrawnSides::from($args, $closed);
        OutlineShape::require($drawn->curves(), $closed);
        // of a closed line the outside is outside, whichever way it was drawn
        $turned = $closed && array_sum(array_map(static fn (Curve $c): float => $c->moment(), $drawn->curves())) < 0;
        $curves = ($turned ? $drawn->turnedRound() : $drawn)->curves();

        return OwnLine::along($curves === [] ? throw InvalidOutline::tooFew($closed) : $curves, $closed)->toArray();
    }
}
