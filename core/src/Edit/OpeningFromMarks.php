<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Openings where marks say: "marks" of {wall, from, to} (u on the wall from its left end, mm) on a "storey", each as wide as its marks are
 * apart or, with "rounded", as the project's module nearest to that, about the same middle. "type" fills them (a blank for bare ones), with
 * "height" and "sill" (over the floor) of their own or the type's.
 */
final readonly class OpeningFromMarks implements Edit
{
    /** @param  list<Fields>  $marks */
    private function __construct(private Fields $args, private array $marks)
    {
    }

    public static function from(Fields $args): self
    {
        $marks = $args->list('marks');
        if ($marks === [] || count($marks) > 2000) {
            throw Refusal::because(
                'marks.none',
                $marks === [] ? 'Pick two marks first.' : 'More than 2 000 pairs of marks at once are too many.',
            );
        }

        return new self($args, $marks);
    }

    public function scope(): Scope
    {
        return Scope::ofWalls(...array_values(array_unique(array_map(static fn (Fields $m): string => $m->string('host'), $this->marks))));
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $type = $args->has('type') && $args->string('type') !== '' ? $design->type($args->string('type')) : null;
        $height = $args->has('height') ? $args->size('height', 'The height') : ($type->height ?? 1000.0);
        $sill = $args->has('sill') ? $args->length('sill') : ($type->sill ?? 900.0);
        $storey = $args->string('storey');
        $module = $design->settings->module;
        $attempt = Attempt::from($design, $args);
        $by = [];
        foreach ($this->marks as $mark) {
            $wall = $design->host($mark->string('host'));
            [$a, $b] = [min($mark->length('from'), $mark->length('to')), max($mark->length('from'), $mark->length('to'))];
            if ($b - $a < 1.0) {
                throw Refusal::because('marks.same_place', 'Both marks are at the same place.', [$wall->id()]);
            }
            $clear = $wall->surface()->chordAt($a, $b);
            $width = $args->bool('rounded') ? $module?->opening($clear) ?? round($clear / 10) * 10 : round($clear, 2);
            if ($args->bool('rounded')) {
                $by[] = $width - $clear;
            }
            [$start] = Places::in($design)->span($wall);
            $attempt->add(Opening::from(new Fields([
                'id' => $ids->next(Kind::Opening), 'host' => $wall->id(), 'storey' => $storey, 'type' => $type?->id, 'width' => $width,
                'height' => $height, 'shape' => null,
                'position' => $wall->isCurved()
                    ? ['from' => 'left', 'value' => round(($a + $b) / 2 - $start, 2), 'to' => 'centre']
                    : ['from' => 'left', 'value' => round(($a + $b) / 2 - $width / 2 - $start, 2), 'to' => 'near'],
                'sill' => ['from' => 'floor', 'height' => $sill],
                'facesOut' => true, 'mirrored' => false,
                'setback' => $type?->tree()->setback ?? OpeningPlace::usualSetback($wall->depth(), $type?->tree()->frame->depth ?? 0.0),
            ], $args->units())));
        }
        if ($by !== []) {
            [$least, $most] = [min($by), max($by)];
            $say = static fn (float $mm): string => abs($mm) < 0.05
                            ? 'as wide'
                            : Words::length($design, abs($mm)).($mm > 0 ? ' wider' : ' narrower');
            $attempt->note(count($by) === 1 || abs($least - $most) < 0.05 ? sprintf(
                'Rounded: %s than the marks are apart.',
                $say($most),
            ) : sprintf('Rounded: from %s to %s than the marks are apart.', $say($least), $say($most)));
        }

        return $attempt->change(static fn (int $n): string => sprintf('Placed %s from marks', Words::counts(['opening' => $n])));
    }
}
