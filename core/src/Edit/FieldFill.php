<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FieldsOn;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Fills an "opening", a "screen" before a "wall" or a "cut" of it, a "cell" of curtain wall, or a "region" drawn on a "wall" over the
 * floor of a "storey", with battens; or with "id" changes what is given of a field.
 */
final readonly class FieldFill implements Edit
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
        // a field may fill any opening of its wall, which only the design knows
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $this->args->has('id') ? FieldsOn::field($design, $this->args->string('id')) : null;
        $values = $before?->toArray() ?? [
            'id' => $ids->next(Kind::Field), 'position' => BandRules::lastPosition($design) + 1,
            'name' => BandRules::freeName($design, 'Field'),
        ];
        $given = $this->args->all();
        $given = [...$given, ...$this->where($design, $before)];
        $wall = $given['wall'] ?? $values['wall'] ?? null;
        if (! is_string($wall)) {
            throw Refusal::because(
                'field.where',
                'A field fills an opening, a cut-out, a cell, or a region drawn on a wall: say one of them.',
            );
        }
        if (isset($given['battens'], $values['battens']) && is_array($given['battens']) && is_array($values['battens'])) {
            $given['battens'] = [...$values['battens'], ...$given['battens']];
        }
        if (isset($given['turn']) && ! isset($given['turnLaw'])) {
            $given['turnLaw'] = null; // the same for all again
        }
        $host = $design->wall($wall);
        $field = Field::from(new Fields([
            ...$values, 'storey' => $host->base, ...$before === null ? [] : ['storey' => $before->storey], ...$given, 'wall' => $host->id,
            'outline' => $host->outline,
        ], $this->args->units()));
        BandRules::requireLayer($design, $field, $field->finish);
        $change = new Change('', [$before === null ? Operation::add($field) : Operation::alter($before, $field)]);
        $pieces = FieldsOn::in($design->after($change))->of($field);
        $count = count($pieces->pieces);

        return new Change(
            sprintf($before === null ? 'Filled with %2$d battens as %1$s' : 'Changed %1$s', $field->name, $count),
            $change->operations, [$field->id], wanted: $count,
        );
    }

    /**
     * What it fills, where that is said; of a cut-out it lies as far out as its screen, unless that is said otherwise.
     *
     * @return array<string, mixed>
     */
    private function where(Design $design, ?Field $before): array
    {
        $args = $this->args;
        $none = ['opening' => null, 'screen' => null, 'cut' => null, 'cell' => null, 'region' => []];
        $cell = $args->stringOrNull('cell');
        if ($args->stringOrNull('opening') !== null) {
            $opening = $design->opening($args->string('opening'));

            return [...$none, 'opening' => $opening->id, 'cell' => $cell, 'wall' => $opening->host, 'storey' => $opening->storey];
        }
        if ($args->stringOrNull('screen') !== null) {
            $screen = Screens::screen($design, $args->string('screen'));
            if (! $args->has('cut')) {
                $wall = $args->stringOrNull('wall') ?? Screens::in($design)->wallsOf($screen)[0] ?? null;

                return [...$none, 'screen' => $screen->id, 'wall' => $wall, 'storey' => $screen->storey]
                    + ($before === null && ! $args->has('out') ? ['out' => $screen->front()] : []);
            }
            $part = $screen->part($args->int('cut'));
            if (! $part->cut) {
                throw Refusal::because('field.no_cut', sprintf('Number %d of %s is a piece of it, no cut-out.', $part->n, $screen->name));
            }
            $wall = $part->wall ?? $design->opening($part->shape->around[0] ?? '')->host;

            return [...$none, 'screen' => $screen->id, 'cut' => $part->n, 'wall' => $wall, 'storey' => $screen->storey]
                + ($before === null && ! $args->has('out') ? ['out' => $screen->gap] : []);
        }
        if ($cell !== null) {
            return [...$none, 'cell' => $cell];
        }

        return $args->has('region') ? [...$none, 'region' => $args->array('region')] : [];
    }
}
