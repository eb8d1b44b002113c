<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** What is doubtful about a unit of a size, wherever it stands. */
final class UnitChecks
{
    /**
     * @return list<array{rule: string, path: string, figure: float, what: string}> "has a sash …": to be read after what the unit is called
     */
    public static function of(SolvedUnit $unit, UnitRules $rules): array
    {
        $found = [];
        $add = static function (string $rule, string $path, float $figure, string $what) use (&$found): void {
            $found[] = ['rule' => $rule, 'path' => $path, 'figure' => $figure, 'what' => $what];
        };
        self::stretched($unit, $add);
        foreach ($unit->lights as $light) {
            $operation = $light->light->operation;
            $limits = $rules->limits[$operation->value] ?? null;
            if ($limits !== null) {
                foreach ($light->leaves as $leaf) {
                    self::leaf($unit, $light, $leaf, $limits, $rules, $add);
                }
            }
            if ($operation->isDoor() && $light->contour->height() < $rules->doorClear - 0.01) {
                $add(
                    'unit.door_clear',
                    $light->path,
                    $light->contour->height(),
                    sprintf(
                        'has a %s that is %s high clear, under the %s of this project',
                        $operation->label(),
                        UnitTree::mm($light->contour->height()),
                        UnitTree::mm($rules->doorClear),
                    ),
                );
            }
            if ($light->louvre !== null && $light->louvre['clash']) {
                $add(
                    'louvre.clash',
                    $light->path,
                    $light->louvre['pitch'],
                    sprintf('has louvre blades that run into each other at a pitch of %s', UnitTree::mm($light->louvre['pitch'])),
                );
            }
        }
        foreach ($unit->panes as $pane) {
            $light = $pane->leaf === null ? null : self::light($unit, $pane->path);
            $sash = $light?->sash;
            if ($light !== null && $sash !== null && $light->bars === null && min(
                $pane->contour->width(),
                $pane->contour->height(),
            ) < $sash->face) {
                $add(
                    'unit.small_light',
                    $pane->path,
                    min($pane->contour->width(), $pane->contour->height()),
                    sprintf(
                        'has a pane %s × %s, smaller than the %s of its sash',
                        UnitTree::mm($pane->contour->width()),
                        UnitTree::mm($pane->contour->height()),
                        UnitTree::mm($sash->face),
                    ),
                );
            }
        }

        return $found;
    }

    /**
     * A top-hung light sheds rain only when it opens outward; a bottom-hung one that opens outward catches it (common practice).
     *
     * @param  bool  $facesOut  whether the unit's outside is on the outside
     * @return list<array{rule: string, path: string, figure: float, what: string}>
     */
    public static function rain(SolvedUnit $unit, bool $facesOut): array
    {
        $found = [];
        foreach ($unit->lights as $light) {
            $outward = ($light->light->opens === Opens::Outward) === $facesOut;
            $operation = $light->light->operation;
            if (($operation === Operation::TopHung && ! $outward) || ($operation === Operation::BottomHung && $outward)) {
                $width = $light->contour->width();
                $found[] = [
                    'rule' => 'unit.rain_in',
                    'path' => $light->path,
                    'figure' => $width,
                    'what' => sprintf(
                        'has a %s light %s wide that opens %s: rain runs in',
                        $operation->value,
                        UnitTree::mm($width),
                        $outward ? 'outward' : 'inward',
                    ),
                ];
            }
        }

        return $found;
    }

    /** @param  callable(string, string, float, string): void  $add */
    private static function stretched(SolvedUnit $unit, callable $add): void
    {
        $why = $unit->tree->outline->stretched($unit->width, $unit->height);
        if ($why !== null) {
            $add('unit.stretched', '', abs($unit->width - $unit->height), $why);
        }
        foreach ([
            ['minWidth', $unit->width, -1, 'narrower than'],
            ['maxWidth', $unit->width, 1, 'wider than'],
            ['minHeight', $unit->height, -1, 'lower than'],
            ['maxHeight', $unit->height, 1, 'higher than'],
        ] as [$limit, $size, $sign, $word]) {
            $at = $unit->tree->limits[$limit] ?? null;
            if ($at !== null && ($size - $at) * $sign > 0.01) {
                $add(
                    'unit.stretched',
                    '',
                    $size,
                    sprintf('is stretched to %s, %s the %s its type is made for', UnitTree::mm($size), $word, UnitTree::mm($at)),
                );
            }
        }
    }

    /**
     * @param  array{float, float, float}  $limits
     * @param  callable(string, string, float, string): void  $add
     */
    private static function leaf(SolvedUnit $unit, SolvedLight $light, Leaf $leaf, array $limits, UnitRules $rules, callable $add): void
    {
        if ($leaf->slides === Slides::Fixed) {
            return;
        }
        $kind = $light->light->operation->label().($light->light->operation->isDoor() ? ' leaf' : ' sash');
        $weight = Weight::of($unit, $rules, $leaf->index)['total'];
        [$w, $h] = [$leaf->contour->width(), $leaf->contour->height()];
        if ($w > $limits[0] + 0.01) {
            $add(
                'unit.sash_wide',
                $light->path,
                $w,
                sprintf('has a %s %s wide, over the %s of this project', $kind, UnitTree::mm($w), UnitTree::mm($limits[0])),
            );
        }
        if ($h > $limits[1] + 0.01) {
            $add(
                'unit.sash_tall',
                $light->path,
                $h,
                sprintf('has a %s %s high, over the %s of this project', $kind, UnitTree::mm($h), UnitTree::mm($limits[1])),
            );
        }
        if ($weight > $limits[2] + 0.05) {
            $add(
                'unit.sash_heavy',
                $light->path,
                $weight,
                sprintf('has a %s of %.0f kg, over the %.0f kg of this project', $kind, $weight, $limits[2]),
            );
        }
    }

    private static function light(SolvedUnit $unit, string $path): ?Light
    {
        foreach ($unit->lights as $light) {
            if ($light->path === $path) {
                return $light->light;
            }
        }

        return null;
    }
}
