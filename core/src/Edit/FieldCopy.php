<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Layer\FieldsOn;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Fills more "openings", other cut-outs of its screen ("cuts", by their numbers) or other "cells" of its curtain wall as a field ("id")
 * fills its own. Where one cannot be filled none is.
 */
final readonly class FieldCopy implements Edit
{
    /** @param  non-empty-list<array<string, mixed>>  $places  as {@see FieldFill} takes them */
    private function __construct(private string $id, private array $places)
    {
    }

    public static function from(Fields $args): self
    {
        $places = [];
        foreach ($args->has('openings') ? $args->strings('openings') : [] as $opening) {
            $places[] = ['opening' => $opening, 'screen' => null, 'cut' => null, 'cell' => null];
        }
        foreach ($args->has('cuts') ? $args->counts('cuts') : [] as $cut) {
            $places[] = ['cut' => $cut];
        }
        foreach ($args->has('cells') ? $args->strings('cells') : [] as $cell) {
            $places[] = ['cell' => $cell];
        }

        return new self($args->string('id'), $places === []
            ? throw Refusal::because('field.nowhere', 'Say which openings, cut-outs or cells are filled alike.')
            : $places);
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $field = FieldsOn::field($design, $this->id);
        $values = array_diff_key($field->toArray(), ['id' => 1, 'name' => 1, 'position' => 1]);
        $operations = $chosen = [];
        $then = $design;
        foreach ($this->places as $place) {
            foreach (['cut' => ['cut-out', $field->cut], 'cell' => ['cell', $field->cell]] as $of => [$word, $own]) {
                if (($place[$of] ?? null) !== null && $own === null) {
                    throw Refusal::because('field.no_others', "$field->name fills no $word, so it has no others.", [$this->id]);
                }
            }
            // a region that was drawn is not what is filled here
            $name = BandRules::freeName($then, mb_substr(preg_replace('/ \d+$/', '', $field->name) ?? $field->name, 0, 70), 2);
            $made = FieldFill::from(new Fields([...$values, 'name' => $name, 'region' => [], ...$place]))->apply($then, $ids);
            array_push($operations, ...$made->operations);
            array_push($chosen, ...$made->chosen);
            $then = $then->after($made);
        }

        $battens = array_map(static fn (string $id): int => count(FieldsOn::in($then)->of(FieldsOn::field($then, $id))->pieces), $chosen);

        return new Change(
            sprintf('Filled %s as %s', Words::counts(['place' => count($this->places)]), $field->name),
            $operations,
            $chosen,
            wanted: array_sum($battens),
        );
    }
}
