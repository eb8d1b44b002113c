<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Jamb;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Draws a piece that is added to a screen, or a "cut" taken from it, on a "wall"; or with "n" changes what is given of the shape of one.
 * What is drawn over others is united with them, or taken from all of them. A cut-out that is a rectangle may be filled with a unit of a
 * "type", "mirrored" or not, of whose size it is unless another is said.
 *
 * A rectangle or a round one may lie by the rules by which openings do: "position" along its wall and "sill"; null gives it figures of its
 * own. "measure" and "measureSill" measure it another way where it lies; "value" and "sillHeight" are the figures of its rules.
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
            $changed = self::changed($design, $screen, $part, $args);
            $after = ScreenRules::replaced($screen, [$changed]);

            return ScreenRules::change(
                $design, $screen, $after, sprintf('Changed %s of %s', ScreenRules::words($changed), $after->name), [$part->n],
            );
        }
        if (! $args->has('shape')) {
            throw Refusal::because('screen.shape', 'Say what is drawn: its shape.', details: ['field' => 'shape']);
        }
        $shape = $args->array('shape');
        $type = $args->stringOrNull('type');
        // what a rule says its shape need not; and a unit has its own size
        $usual = ['u' => 0.0, 'v' => 0.0] + ($type === null ? [] : ['form' => 'rectangle'] + self::size($design->type($type)));
        $part = ScreenPart::from(new Fields([
            'n' => 0, 'cut' => $args->bool('cut') || $type !== null, 'wall' => $args->stringOrNull('wall'),
            'shape' => $shape + ($type === null && ! $args->has('position') && ! $args->has('sill') ? [] : $usual),
            'type' => $type, 'mirrored' => $args->has('mirrored') && $args->bool('mirrored'),
            'position' => $args->has('position') ? $args->array('position') : null,
            'sill' => $args->has('sill') ? $args->array('sill') : null,
        ], $args->units()));
        [$after, $numbers] = ScreenRules::extended($screen, [$part]);
        $summary = $type === null ? ($part->cut ? 'Cut out of %s' : 'Added to %s') : 'Placed '.$design->type($type)->mark.' in %s';

        return ScreenRules::change($design, $screen, $after, sprintf($summary, $after->name), $numbers);
    }

    /** @return array{width: float, height: float} */
    private static function size(UnitType $type): array
    {
        return ['width' => $type->width, 'height' => $type->height];
    }

    private static function changed(Design $design, Screen $screen, ScreenPart $part, Fields $args): ScreenPart
    {
        $shape = $args->has('shape') ? $args->array('shape') : [];
        $lies = ScreenPlaces::shape($design, $screen, $part);
        // drawn as something else nothing of what it was is kept
        $kept = ($shape['form'] ?? $lies->form->value) === $lies->form->value;
        $changed = ScreenPart::from(new Fields([
            'n' => $part->n, 'cut' => $args->has('cut') ? $args->bool('cut') : $part->cut,
            'wall' => $args->stringOrNull('wall') ?? $part->wall,
            'type' => $args->has('type') || array_key_exists('type', $args->all()) ? $args->stringOrNull('type') : $part->type,
            'mirrored' => $args->has('mirrored') ? $args->bool('mirrored') : $part->mirrored,
            'shape' => [...($kept ? $lies->toArray() : []), ...$shape],
        ], $args->units()));
        if (! $kept) {
            return $changed;
        }
        $ruled = $changed->placed($changed->shape, $part->position, $part->sill);
        $then = ScreenPlaces::shape($design, $screen, $ruled);
        // a side that is given is brought there; else it lies where its rule has it at its size
        $by = [
            isset($shape['u']) && $part->position !== null ? $changed->shape->u - $then->u : 0.0,
            isset($shape['v']) && $part->sill !== null ? $changed->shape->v - $then->v : 0.0,
        ];

        return self::measured($design, $screen, ScreenPlaces::put($design, $screen, $ruled, $then->moved(...$by)), $args);
    }

    /** With the figures of its rules, or the rules themselves, that are given. */
    private static function measured(Design $design, Screen $screen, ScreenPart $part, Fields $args): ScreenPart
    {
        [$position, $sill] = [$part->position, $part->sill];
        $all = $args->all();
        if ($args->has('measure')) {
            $m = $args->fields('measure');
            $along = Along::from(new Fields(['value' => 0.0] + $m->all() + ($position?->along->toArray() ?? []), $args->units()));
            $rule = PositionRule::of($along, $m->choice('to', Jamb::class, $position->to ?? Jamb::Near));
            $part = ScreenPlaces::measured($design, $screen, $part, $rule, $sill);
        } elseif (array_key_exists('position', $all)) {
            $part = $args->has('position')
                ? $part->placed($part->shape, PositionRule::from($args->fields('position')), $sill)
                : ScreenPlaces::measured($design, $screen, $part, null, $sill);
        }
        $position = $part->position;
        if ($args->has('measureSill')) {
            $rule = SillRule::from(new Fields(
                ['height' => 0.0] + $args->fields('measureSill')->all() + ($sill?->toArray() ?? []), $args->units(),
            ));
            $part = ScreenPlaces::measured($design, $screen, $part, $position, $rule);
        } elseif (array_key_exists('sill', $all)) {
            $part = $args->has('sill')
                ? $part->placed($part->shape, $position, SillRule::from($args->fields('sill')))
                : ScreenPlaces::measured($design, $screen, $part, $position, null);
        }
        $sill = $part->sill;
        if ($args->has('value') && $position !== null) {
            $value = $position->along->from === Reference::Fraction ? $args->number('value') : $args->length('value');
            $position = PositionRule::of($position->along->withValue($value), $position->to);
        }
        if ($args->has('sillHeight') && $sill !== null) {
            $sill = $sill->withHeight($args->length('sillHeight'));
        }

        return $part->placed($part->shape, $position, $sill);
    }
}
