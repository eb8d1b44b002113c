<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Building\Solved;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Jambs;
use Isleward\Core\Design\Opening;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\Operation;

/** What must hold of an opening that someone places or changes. What is merely doubtful is a finding. */
final class OpeningRules
{
    /** @throws Refusal */
    public static function require(Design $design, Opening $opening): PlacedOpening
    {
        $wall = $design->host($opening->host);
        if ($wall->curtain() !== null) {
            throw Refusal::because(
                'opening.in_curtain',
                'This stretch is curtain wall: windows and doors fill its cells, and no opening is cut through it.',
                [$opening->id, $wall->id()],
            );
        }
        $storey = $design->storeys->get($opening->storey);
        if (! $design->storeys->isWithin($opening->storey, $wall->base(), $wall->top())) {
            throw Refusal::because(
                'opening.not_on_storey',
                sprintf('This wall does not run through %s.', $storey->said()),
                [$opening->id, $wall->id()],
            );
        }
        if ($opening->type !== null) {
            Solved::in($design->type($opening->type), $opening);
        }
        References::require($design, $opening);
        self::requireBends($design, $opening);
        [$start, $end] = Places::in($design)->span($wall);
        $placed = Places::in($design)->of($opening);
        [$foot, $head] = Places::in($design)->sloped($wall)?->reach($placed->left, $placed->right)
            ?? [$design->storeys->floor($wall->base()), $design->storeys->ceiling($wall->top())];
        $say = static fn (float $mm): string => Length::format($mm, $design->settings->units);
        $slack = Tolerance::LENGTH;
        $why = match (true) {
            $placed->right <= $start + $slack => sprintf(
                'its far jamb would lie %s before the wall’s left end',
                $say($start - $placed->right),
            ),
            $placed->left >= $end - $slack => sprintf(
                'it would begin %s from the left end and the wall is %s long',
                $say($placed->left - $start),
                $say($end - $start),
            ),
            $placed->sill >= $head - $slack => sprintf('its sill would lie %s over the wall’s head', $say($placed->sill - $head)),
            $placed->head <= $foot + $slack => sprintf('its head would lie %s under the wall’s foot', $say($foot - $placed->head)),
            default => null,
        };
        if ($why !== null) {
            throw Refusal::because(
                'opening.off_wall',
                sprintf('This opening would lie wholly off its wall: %s.', $why),
                [$opening->id, $wall->id()],
            );
        }

        self::requireCurtain($design, $placed);

        return $placed;
    }

    /**
     * That curtain wall in an opening can be built there.
     *
     * @throws Refusal
     */
    private static function requireCurtain(Design $design, PlacedOpening $placed): void
    {
        $opening = $placed->opening;
        if ($opening->curtain === null) {
            return;
        }
        if ($opening->shape !== null || $placed->isBent()) {
            throw Refusal::because(
                'opening.curtain',
                $opening->shape !== null
                    ? 'Curtain wall is let into a rectangular opening; this one has a shape of its own.'
                    : 'Curtain wall in an opening stands flat: let its jambs be parallel or radial, or make the stretch itself curtain wall.',
                [$opening->id],
            );
        }
        LetIn::of($design, $placed);
    }

    /**
     * What cannot bend is not bent to a curved wall.
     *
     * @throws Refusal
     */
    public static function requireBends(Design $design, Opening $opening): void
    {
        if ($opening->jambs !== Jambs::Bent || $opening->type === null || ! $design->host($opening->host)->isCurved()) {
            return;
        }
        $type = $design->type($opening->type);
        foreach ($type->tree()->lights() as $light) {
            if ($light->operation !== Operation::Fixed) {
                throw Refusal::because(
                    'opening.cannot_bend',
                    sprintf(
                        '%s cannot be bent to the wall: one of its lights is %s, and only fixed ones bend. Let it stand flat, with parallel or radial jambs.',
                        $type->mark,
                        $light->operation->label(),
                    ),
                    [$opening->id],
                    ['field' => 'jambs'],
                );
            }
        }
    }
}
