<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** The steps a unit is made in at the bench, by name. A step that leaves a unit that cannot be built is refused and changes nothing. */
final class Steps
{
    /** @var list<string> */
    public const NAMES = [
        'size',
        'outline',
        'stretch',
        'corner',
        'frame',
        'measure',
        'finish',
        'limits',
        'divide',
        'cut',
        'join',
        'undivide',
        'part',
        'equalise',
        'divider',
        'move',
        'turn',
        'light',
        'mirror',
    ];

    /** @throws Refusal */
    public static function take(Draft $draft, string $step, Fields $args): Draft
    {
        $after = match ($step) {
            'size' => Outlining::size($draft, $args),
            'outline' => Outlining::outline($draft, $args),
            'stretch' => Outlining::stretch($draft, $args),
            'corner' => Outlining::corner($draft, $args),
            'frame' => Outlining::frame($draft, $args),
            'finish' => Outlining::finish($draft, $args),
            'limits' => $draft->with(
                ['limits' => array_filter($args->array('limits'), static fn (mixed $v): bool => $v !== null && $v !== '')] + $draft->tree,
            ),
            'measure' => Dividing::measure($draft, $args),
            'divide' => Dividing::divide($draft, $args),
            'cut' => Dividing::cut($draft, $args),
            'join' => Dividing::join($draft, $args),
            'undivide' => Dividing::undivide($draft, $args),
            'part' => Sizing::part($draft, $args),
            'equalise' => Sizing::equalise($draft, $args),
            'divider' => Sizing::divider($draft, $args),
            'move' => Sizing::move($draft, $args),
            'turn' => Dividing::turn($draft, $args),
            'light' => Lighting::set($draft, $args),
            'mirror' => Mirrored::draft($draft),
            default => throw Refusal::because(
                'bench.step',
                sprintf('“%s” is no step at the bench; there are %s.', $step, implode(', ', self::NAMES)),
            ),
        };
        // as it is written by its own reading: figures typed in people's units become millimetres
        $after = Draft::from(new Fields(['width' => $after->width, 'height' => $after->height, 'tree' => $after->tree], $args->units()));
        $after->solved();

        return $after;
    }
}
