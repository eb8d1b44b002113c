<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** Puts an opening in a wall, bare or filled with a unit. "headAt" instead of "sill" gives the head's height over the storey's floor. */
final readonly class OpeningPlace implements Edit
{
    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $args->string('host');
        $args->string('storey');

        return new self($args);
    }

    public function scope(): Scope
    {
        $named = [];
        foreach (['position', 'sill'] as $rule) {
            $named[] = $this->args->has($rule) ? $this->args->fields($rule)->stringOrNull('ref') : null;
        }

        return Scope::beside($this->args->string('host'), $this->args->string('storey'), ...$named);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $type = $args->has('type') ? $design->type($args->string('type')) : null;
        $height = $args->has('height') ? $args->length('height') : ($type->height ?? 1000.0);
        $sill = match (true) {
            $args->has('headAt') => ['from' => 'floor', 'height' => $args->length('headAt') - $height],
            $args->has('sill') => $args->array('sill'),
            default => ['from' => 'floor', 'height' => $type->sill ?? 900.0],
        };
        $opening = Opening::from(new Fields([
            'id' => $ids->next(Kind::Opening),
            'host' => $args->string('host'),
            'storey' => $args->string('storey'),
            'type' => $type?->id,
            'width' => $args->has('width') ? $args->length('width') : ($type->width ?? 1000.0),
            'height' => $height,
            'curtain' => $args->has('grid') ? Curtain::by($design->grid($args->string('grid'))->id())->toArray() : null,
            'shape' => $args->has('shape') ? $args->array('shape') : null,
            'position' => $args->array('position'),
            'sill' => $sill,
            'facesOut' => $args->bool('facesOut', true),
            'mirrored' => $args->bool('mirrored'),
            'jambs' => $args->stringOrNull('jambs'),
            'setback' => $args->has('setback') ? $args->length('setback') : $type?->tree()->setback ?? self::usualSetback(
                $design->host($args->string('host'))->depth(),
                $type?->tree()->frame->depth ?? ($args->has('grid') ? $design->grid($args->string('grid'))->depth() : 0.0),
            ),
        ], $args->units()));
        self::requireFree($design, OpeningRules::require($design, $opening));

        return new Change(sprintf('Placed %s', $design->label($opening)), [Operation::add($opening)], [$opening->id]);
    }

    /** @throws Refusal when another stands there already: one that is moved over another is a finding, one that is put there a slip */
    private static function requireFree(Design $design, PlacedOpening $placed): void
    {
        foreach ($design->openingsOf($placed->opening->host) as $other) {
            $there = Places::in($design)->of($other);
            if ($placed->overlaps($there)) {
                $across = min($placed->right, $there->right) - max($placed->left, $there->left);
                throw Refusal::because(
                    'opening.taken',
                    sprintf(
                        '%s stands there already: this one would overlap it by %s.',
                        ucfirst($design->label($other)),
                        Length::mark($across),
                    ),
                    [$other->id],
                );
            }
        }
    }

    /**
     * About a third of the way into the wall, in steps of 10, so that there is a reveal outside and a board inside; never so far
     * that the frame stands out inside; a frame deeper than the wall stands out of both faces alike (common practice).
     */
    public static function usualSetback(float $thickness, float $depth): float
    {
        return $depth >= $thickness ? ($thickness - $depth) / 2 : min(round($thickness * 0.3 / 10) * 10, $thickness - $depth);
    }
}
