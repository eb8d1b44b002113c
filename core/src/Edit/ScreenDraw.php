<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Draws a piece that is added to a screen, or a "cut" taken from it, on a "wall"; or with "n" changes what is given of the shape of one.
 * What is drawn over others is united with them, or taken from all of them. A cut-out that is a rectangle may be filled with a unit of a
 * "type", "mirrored" or not.
 */
final readonly class ScreenDraw implements Edit
{
    use OnScreens;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $screen = Screens::screen($design, $args->string('id'));
        if ($args->has('n')) {
            $part = $screen->part($args->int('n'));
            $shape = $args->has('shape') ? $args->array('shape') : [];
            // drawn as something else nothing of what it was is kept
            $kept = ($shape['form'] ?? $part->shape->form->value) === $part->shape->form->value ? $part->shape->toArray() : [];
            $changed = ScreenPart::from(new Fields([
                'n' => $part->n, 'cut' => $args->has('cut') ? $args->bool('cut') : $part->cut,
                'wall' => $args->stringOrNull('wall') ?? $part->wall,
                'type' => $args->has('type') || array_key_exists('type', $args->all()) ? $args->stringOrNull('type') : $part->type,
                'mirrored' => $args->has('mirrored') ? $args->bool('mirrored') : $part->mirrored,
                'shape' => [...$kept, ...$shape],
            ], $args->units()));
            $after = ScreenRules::replaced($screen, [$changed]);

            return ScreenRules::change(
                $design, $screen, $after, sprintf('Changed %s of %s', ScreenRules::words($changed), $after->name), [$part->n],
            );
        }
        if (! $args->has('shape')) {
            throw Refusal::because('screen.shape', 'Say what is drawn: its shape.', details: ['field' => 'shape']);
        }
        $part = ScreenPart::from(new Fields([
            'n' => 0, 'cut' => $args->bool('cut'), 'wall' => $args->stringOrNull('wall'), 'shape' => $args->array('shape'),
            'type' => $args->stringOrNull('type'), 'mirrored' => $args->has('mirrored') && $args->bool('mirrored'),
        ], $args->units()));
        [$after, $numbers] = ScreenRules::extended($screen, [$part]);

        return ScreenRules::change(
            $design, $screen, $after, sprintf($part->cut ? 'Cut out of %s' : 'Added to %s', $after->name), $numbers,
        );
    }
}
