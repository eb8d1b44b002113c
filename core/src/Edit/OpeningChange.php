<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Jamb;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Refusal;
use Isleward\Core\Wall\PlacedOpening;

/**
 * Changes an opening. Besides its stored values it takes:
 *
 * - "head": level of the head over what the sill is measured from; the sill stays and the height follows;
 * - "measure" {from, to}: measures the position another way, the opening staying where it is;
 * - "sillFrom": measures the sill from another datum, the opening staying where it is;
 * - "leftJamb" (mm from the wall's left end) and "sillLevel" (mm above the datum): puts it there, its rules staying the kind they are;
 * - "by" {u, v}: moves it by so much.
 */
final readonly class OpeningChange implements Edit
{
    private const PLAIN = ['storey', 'type', 'width', 'height', 'position', 'sill', 'facesOut', 'mirrored', 'setback'];

    private function __construct(private string $id, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'), $args);
    }

    public function scope(): Scope
    {
        return Scope::ofOpenings($this->id);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $design->opening($this->id);
        $length = $design->wall($before->wall)->face()->length();
        $was = PlacedOpening::of($design, $before, $length);
        $after = $this->plainValues($before);
        $after = $this->measuredAnew($design, $after, $was, $length);
        $after = $this->moved($design, $after, $was, $length);
        $now = OpeningRules::require($design, $after);

        return new Change(self::summary($design, $before, $after, $was, $now), [Operation::alter($before, $after)], [$this->id]);
    }

    private function plainValues(Opening $before): Opening
    {
        $given = array_intersect_key($this->args->all(), array_flip(self::PLAIN));
        $after = Opening::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        if ($this->args->has('head')) {
            $height = $this->args->length('head') - $after->sill->height;
            if ($height < 1) {
                throw Refusal::because('opening.head_under_sill', sprintf(
                    'A head at %s would lie under the sill at %s.', Length::format($this->args->length('head'), $this->args->units()), Length::format($after->sill->height, $this->args->units())), [$this->id]);
            }
            $after = $after->with(['height' => $height]);
        }

        return $after;
    }

    private function measuredAnew(Design $design, Opening $after, PlacedOpening $was, float $length): Opening
    {
        if ($this->args->has('measure')) {
            $measure = $this->args->fields('measure');
            $rule = PositionRule::of($measure->choice('from', Reference::class, $after->position->from), 0.0, $measure->choice('to', Jamb::class, $after->position->to));
            $after = $after->with(['position' => $rule->withLeftJambAt($was->left, $length, $after->width)->toArray()]);
        }
        if ($this->args->has('sillFrom')) {
            $rule = SillRule::of($this->args->choice('sillFrom', SillDatum::class), 0.0);
            $after = $after->with(['sill' => $this->sillAt($design, $after, $rule, $was->sill)->toArray()]);
        }

        return $after;
    }

    private function moved(Design $design, Opening $after, PlacedOpening $was, float $length): Opening
    {
        $by = $this->args->has('by') ? $this->args->fields('by') : null;
        $left = $this->args->has('leftJamb') ? $this->args->length('leftJamb') : ($by?->has('u') === true ? $was->left + $by->length('u') : null);
        if ($left !== null) {
            $after = $after->with(['position' => $after->position->withLeftJambAt($left, $length, $after->width)->toArray()]);
        }
        $sill = $this->args->has('sillLevel') ? $this->args->length('sillLevel') : ($by?->has('v') === true ? $was->sill + $by->length('v') : null);
        if ($sill !== null) {
            $after = $after->with(['sill' => $this->sillAt($design, $after, $after->sill, $sill)->toArray()]);
        }

        return $after;
    }

    private function sillAt(Design $design, Opening $opening, SillRule $rule, float $level): SillRule
    {
        return $rule->withLevel($level, $design->storeys->floor($opening->storey), $design->storeys->floor($design->wall($opening->wall)->base));
    }

    private static function summary(Design $design, Opening $before, Opening $after, PlacedOpening $was, PlacedOpening $now): string
    {
        $label = $design->label($before);
        $say = static fn (float $mm): string => Length::format(abs($mm), $design->settings->units);
        $right = $now->left - $was->left;
        $up = $now->sill - $was->sill;

        return match (true) {
            $before->type !== $after->type => sprintf('Made %s a %s', $label, $design->label($after)),
            $before->width !== $after->width || $before->height !== $after->height => sprintf('Made %s %s × %s', $label, $say($after->width), $say($after->height)),
            abs($right) > 0.005 => sprintf('Moved %s %s to the %s', $label, $say($right), $right > 0 ? 'right' : 'left'),
            abs($up) > 0.005 => sprintf('Moved %s %s %s', $label, $say($up), $up > 0 ? 'up' : 'down'),
            default => sprintf('Changed %s', $label),
        };
    }
}
