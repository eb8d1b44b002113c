<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\FinishPart;
use Isleward\Core\Unit\OutlineKind;
use Isleward\Core\Unit\UnitOutline;

/** Steps about the outline, size, frame and finish of a unit. */
final class Outlining
{
    public static function size(Draft $draft, Fields $args): Draft
    {
        return $draft->with(
            $draft->tree,
            $args->has('width') ? $args->size('width', 'The width of a unit') : null,
            $args->has('height') ? $args->size('height', 'The height of a unit') : null,
        );
    }

    /** Another outline; "width" and "height" come with it when they are given. */
    public static function outline(Draft $draft, Fields $args): Draft
    {
        $draft = self::size($draft, $args);
        $outline = UnitOutline::from($args->fields('outline'));

        return self::keepingLeftEnd($draft, $outline);
    }

    /**
     * One stretch of the head or sill: {"side", "index", and "length", "share", "rise" or "angle"}. Rise and angle are linked: the one that
     * is typed stays.
     */
    public static function stretch(Draft $draft, Fields $args): Draft
    {
        $side = $args->string('side');
        $outline = (new Fields($draft->tree))->has('outline') ? (new Fields($draft->tree))->array('outline') : [];
        $run = is_array($outline[$side] ?? null) ? array_values($outline[$side]) : [];
        $index = $args->int('index');
        $stretch = $run[$index] ?? null;
        if (! is_array($stretch)) {
            throw Refusal::because(
                'bench.stretch',
                sprintf('The %s of this unit has no such stretch.', $side === 'sill' ? 'sill' : 'head'),
            );
        }
        $given = $args->all();
        foreach ([['length', 'share'], ['share', 'length'], ['rise', 'angle'], ['angle', 'rise']] as [$name, $instead]) {
            if ($args->has($name)) {
                unset($stretch[$instead]);
                $stretch[$name] = $name === 'length' || $name === 'rise' ? $args->length($name) : self::figure($given[$name], $name);
            }
        }
        $run[$index] = $stretch;

        return self::keepingLeftEnd($draft, UnitOutline::from(new Fields([$side => $run] + $outline, $args->units())));
    }

    /** Degrees and shares may be typed with their sign: "22°". */
    private static function figure(mixed $value, string $name): float
    {
        $text = is_string($value) ? str_replace([',', '°', ' '], ['.', '', ''], $value) : $value;
        if (! is_numeric($text)) {
            throw Refusal::because(
                'bench.figure',
                sprintf('“%s” is no %s.', is_string($value) ? $value : '', $name),
                details: ['field' => $name],
            );
        }

        return (float) $text;
    }

    /** Makes the head stand at a height over the unit's foot at one of its corners, by the height of the whole: {"index", "height"}. */
    public static function corner(Draft $draft, Fields $args): Draft
    {
        $line = $draft->tree()->outline->line(true, $draft->width, $draft->height);
        [, $y] = $line[$args->int('index')] ?? throw Refusal::because('bench.stretch', 'The head of this unit has no such corner.');

        return $draft->with($draft->tree, null, $draft->height + $args->size('height', 'The height of the head') - $y);
    }

    /**
     * Values of {@see \Isleward\Core\Unit\Frame}; "jamb" is both sides; null takes a cill or trim away. "setback" is the unit's usual place
     * in the wall.
     */
    public static function frame(Draft $draft, Fields $args): Draft
    {
        $frame = (new Fields($draft->tree))->array('frame');
        $given = $args->array('values');
        $tree = $draft->tree;
        if (array_key_exists('setback', $given)) {
            $tree['setback'] = $given['setback'];
            unset($given['setback']);
        }
        if (isset($given['jamb'])) {
            unset($frame['left'], $frame['right']);
        } elseif (isset($given['left']) || isset($given['right'])) {
            $jamb = $frame['jamb'] ?? 0.0;
            unset($frame['jamb']);
            $frame += ['left' => $jamb, 'right' => $jamb];
        }

        return $draft->with(['frame' => [...$frame, ...$given]] + $tree);
    }

    /** {"part": a finish part, "finish": its id, or null for none}. */
    public static function finish(Draft $draft, Fields $args): Draft
    {
        $part = $args->choice('part', FinishPart::class);
        $finishes = (new Fields($draft->tree))->has('finishes') ? (new Fields($draft->tree))->array('finishes') : [];
        unset($finishes[$part->value]);
        if ($args->has('finish')) {
            $finishes[$part->value] = $args->string('finish');
        }

        return $draft->with(['finishes' => $finishes] + $draft->tree);
    }

    /** When a head of stretches changes, its left end stays as high as it was and the height of the whole follows. */
    private static function keepingLeftEnd(Draft $draft, UnitOutline $outline): Draft
    {
        $before = $draft->tree()->outline;
        $tree = ['outline' => $outline->toArray()] + $draft->tree;
        if ($outline->kind !== OutlineKind::Profile
                    || ($before->kind !== OutlineKind::Profile && $before->kind !== OutlineKind::Rectangle)) {
            return $draft->with($tree);
        }
        $was = $before->line(true, $draft->width, $draft->height)[0][1];
        $is = $outline->line(true, $draft->width, $draft->height)[0][1];

        return $draft->with($tree, null, $draft->height + $was - $is);
    }
}
