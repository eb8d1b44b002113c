<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\AlignedTo;
use Isleward\Core\Design\Alignment;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Measure\Refusal;

/**
 * Where the lines of a curtain wall come to lie that are in line with setting-out lines, openings or curtain walls of other walls: square
 * over from those in plan, at the same level in elevation. They are looked up each time, so they follow what they are in line with.
 */
final class Aligned
{
    /** @var array<string, true> by id of the stretch or the opening whose lines are being looked up */
    private static array $underWay = [];

    private function __construct(private readonly Design $design, private readonly Alignment $alignment)
    {
    }

    /**
     * The rules of a stretch.
     *
     * @param  float  $from  where along it its curtain wall begins, mm
     * @param  float  $foot  level of its foot
     *
     * @throws Refusal when what it is in line with is gone, or waits for it
     */
    public static function ofStretch(Design $design, Wall $wall, Curtain $curtain, GridRules $rules, float $from, float $foot): GridRules
    {
        if (! $curtain->isAligned()) {
            return $rules;
        }
        $surface = Places::in($design)->surface($wall);
        $upright = cos(deg2rad($curtain->lean));

        return self::guarded($wall->id, static fn (): GridRules => self::laidOut(
            $design,
            $curtain,
            $rules,
            static fn (Vec3 $point): float => $surface->place($point)->x - $from,
            static fn (float $level): float => ($level - $foot) / $upright,
        ));
    }

    /**
     * The rules of what is let in, as seen from its outside before it is handed the other way.
     *
     * @throws Refusal
     */
    public static function ofOpening(Design $design, PlacedOpening $placed, GridRules $rules): GridRules
    {
        $opening = $placed->opening;
        if ($opening->curtain === null || ! $opening->curtain->isAligned()) {
            return $rules;
        }
        $surface = Places::in($design)->surface($design->host($opening->host));

        return self::guarded($opening->id, static fn (): GridRules => self::laidOut(
            $design,
            $opening->curtain,
            $rules,
            static function (Vec3 $point) use ($surface, $placed, $opening): float {
                $along = $surface->place($point)->x - $placed->left;

                return $opening->facesOut === $opening->mirrored ? $opening->width - $along : $along;
            },
            static fn (float $level): float => $level - $placed->sill,
        ));
    }

    /**
     * @param  \Closure(Vec3): float  $along  a point as it lies along the curtain wall
     * @param  \Closure(float): float  $up  a level as it lies up its face
     */
    private static function laidOut(Design $design, Curtain $curtain, GridRules $rules, \Closure $along, \Closure $up): GridRules
    {
        $bays = $curtain->bays === null ? null : array_map($along, (new self($design, $curtain->bays))->points());
        $rows = $curtain->rows === null ? null : array_map($up, (new self($design, $curtain->rows))->levels());

        return $rules->laidOut($bays === null ? null : SettingOut::at($bays), $rows === null ? null : SettingOut::at($rows));
    }

    /** @param  \Closure(): GridRules  $work */
    private static function guarded(string $element, \Closure $work): GridRules
    {
        if (isset(self::$underWay[$element])) {
            throw Refusal::because(
                'curtain.aligned_cycle',
                'A curtain wall cannot be in line with bays of its own run, or of one that is in line with it.',
                [$element],
            );
        }
        self::$underWay[$element] = true;
        try {
            return $work();
        } finally {
            unset(self::$underWay[$element]);
        }
    }

    /** @return list<Vec3> in plan; their level is nothing */
    private function points(): array
    {
        $points = [];
        foreach ($this->alignment->walls as $id) {
            $wall = $this->wall($id);
            $surface = Places::in($this->design)->surface($wall);
            foreach ($this->alongs($wall) as $u) {
                $points[] = $surface->point($u, 0.0);
            }
        }

        return $points;
    }

    /** @return list<float> */
    private function levels(): array
    {
        $levels = [];
        foreach ($this->alignment->walls as $id) {
            $wall = $this->wall($id);
            array_push($levels, ...match ($this->alignment->to) {
                AlignedTo::Lines => array_merge(...array_map(
                    fn (SettingOutLine $l): array => array_column(Places::in($this->design)->lineLevels($l), 1),
                    $this->lines($wall, false),
                )),
                AlignedTo::Sides => array_merge(...array_map(
                    static fn (PlacedOpening $p): array => [$p->sill, $p->head],
                    $this->openings($wall),
                )),
                AlignedTo::Middles => array_map(static fn (PlacedOpening $p): float => ($p->sill + $p->head) / 2, $this->openings($wall)),
                AlignedTo::Grid => $this->rows($wall),
            });
        }

        return $levels;
    }

    /** @return list<float> u on a wall */
    private function alongs(Wall $wall): array
    {
        return match ($this->alignment->to) {
            AlignedTo::Lines => array_map(
                fn (SettingOutLine $l): float => Places::in($this->design)->line($l),
                $this->lines($wall, true),
            ),
            AlignedTo::Sides => array_merge(...array_map(
                static fn (PlacedOpening $p): array => [$p->left, $p->right],
                $this->openings($wall),
            )),
            AlignedTo::Middles => array_map(static fn (PlacedOpening $p): float => $p->middle(), $this->openings($wall)),
            AlignedTo::Grid => $this->bays($wall),
        };
    }

    /** @return list<float> u on a wall of the upright lines of its curtain walls */
    private function bays(Wall $wall): array
    {
        $out = [];
        foreach ($this->letIn($wall) as [$placed, $grid]) {
            foreach (self::whole($grid->bays) as $at) {
                $out[] = $placed->opening->facesOut ? $placed->left + $at : $placed->right - $at;
            }
        }
        if ($wall->curtain !== null) {
            $standing = Runs::in($this->design)->at($wall->id);
            $index = $standing->indexOf($wall->id);
            foreach ($standing->partsOf($index) as $part) {
                foreach ($part->line === null ? self::whole($part->stretch->grid()->bays) : [0.0] as $at) {
                    $out[] = $standing->starts[$index] + $part->u + $at;
                }
            }
        }

        return $out;
    }

    /** @return list<float> levels of the level lines of a wall's curtain walls */
    private function rows(Wall $wall): array
    {
        $out = [];
        foreach ($this->letIn($wall) as [$placed, $grid]) {
            foreach (self::whole($grid->rows) as $at) {
                $out[] = $placed->sill + $at;
            }
        }
        if ($wall->curtain !== null) {
            $standing = Runs::in($this->design)->at($wall->id);
            $index = $standing->indexOf($wall->id);
            foreach (self::whole($standing->partsOf($index)[0]->stretch->grid()->rows) as $at) {
                $out[] = $standing->foot + $at * $standing->upright($index);
            }
        }

        return $out;
    }

    /** @return list<float> where lines lie that stand all along, edges included */
    private static function whole(Lines $lines): array
    {
        return array_values(array_filter($lines->at, static fn (float $at, int $i): bool => $lines->isWhole($i), ARRAY_FILTER_USE_BOTH));
    }

    /** @return list<array{PlacedOpening, Grid}> the curtain walls let into a wall; one that cannot stand has no lines */
    private function letIn(Wall $wall): array
    {
        $out = [];
        foreach ($this->openings($wall) as $placed) {
            if ($placed->opening->curtain !== null && ! isset(self::$underWay[$placed->opening->id])) {
                $run = LetIn::find($this->design, $placed);
                $grid = $run?->stretches[0]->grid();
                if ($grid !== null) {
                    $out[] = [$placed, $grid];
                }
            }
        }

        return $out;
    }

    /** @return list<PlacedOpening> but for the one whose lines are looked up */
    private function openings(Wall $wall): array
    {
        return array_values(array_map(
            fn (Opening $o): PlacedOpening => Places::in($this->design)->of($o),
            array_filter($this->design->openingsOf($wall->id), static fn (Opening $o): bool => ! isset(self::$underWay[$o->id])),
        ));
    }

    /** @return list<SettingOutLine> */
    private function lines(Wall $wall, bool $upright): array
    {
        return array_values(array_filter(
            $this->design->lines,
            static fn (SettingOutLine $l): bool => $l->host === $wall->id && ($l->rule instanceof Along) === $upright,
        ));
    }

    private function wall(string $id): Wall
    {
        return $this->design->walls[$id] ?? throw Refusal::because(
            'curtain.aligned_gone',
            'What this curtain wall is in line with is not there any more.',
            [$id],
        );
    }
}
