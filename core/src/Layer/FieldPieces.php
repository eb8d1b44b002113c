<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** The battens of a field as they lie on its wall. */
final readonly class FieldPieces
{
    /** A sliver shorter than this is no batten, mm. */
    private const SLIVER = 1.0;

    /**
     * @param  Contour  $region  in (u, v) of the wall
     * @param  list<Contour>  $pieces  each as it is seen, in (u, v)
     * @param  list<float>  $lengths  of each along its run, mm
     * @param  float  $gap  clear between two, mm
     */
    private function __construct(
        public Field $field,
        public Contour $region,
        public array $pieces,
        public array $lengths,
        public float $gap,
    ) {
    }

    /** @throws Refusal when they cannot lie so */
    public static function of(Design $design, Field $field): self
    {
        $region = self::region($design, $field);
        $about = new Vec2(0.0, 0.0);
        // turned so that the battens run upright
        $turned = $region->turned(-deg2rad($field->angle), $about);
        [$x0, , $x1] = $turned->bounds();
        $wide = $field->seenWide();
        [$starts, $gap] = $field->battens->over($x1 - $x0, $wide);
        $pieces = $lengths = [];
        foreach ($starts as $start) {
            foreach (self::between($field, $turned, $x0 + $start, $x0 + $start + $wide) as $piece) {
                [, $y0, , $y1] = $piece->bounds();
                if ($y1 - $y0 >= self::SLIVER) {
                    $pieces[] = $piece->turned(deg2rad($field->angle), $about);
                    $lengths[] = $y1 - $y0;
                }
            }
        }
        if ($pieces === []) {
            throw Refusal::because('field.none', sprintf('Nothing of %s would be left within its region.', $field->name), [$field->id]);
        }

        return new self($field, $region, $pieces, $lengths, $gap);
    }

    /** @return list<Contour> of a strip from one x to another */
    private static function between(Field $field, Contour $turned, float $from, float $to): array
    {
        if ($field->isCutToShape()) {
            $pieces = [];
            foreach ($turned->clipped(true, $from, true) as $beyond) {
                array_push($pieces, ...$beyond->clipped(true, $to, false));
            }

            return $pieces;
        }
        // cut square: as far as all of its width lies within
        [$inner, $outer] = [$from + 1e-6, $to - 1e-6];
        $within = $turned->spans(true, $inner);
        foreach ([($from + $to) / 2, $outer] as $x) {
            $within = self::common($within, $turned->spans(true, $x));
        }

        return array_map(static fn (array $s): Contour => Contour::rectangle($from, $s[0], $to, $s[1]), $within);
    }

    /**
     * @param  list<array{float, float}>  $a
     * @param  list<array{float, float}>  $b
     * @return list<array{float, float}>
     */
    private static function common(array $a, array $b): array
    {
        $out = [];
        foreach ($a as [$from, $to]) {
            foreach ($b as [$low, $high]) {
                if (min($to, $high) - max($from, $low) > self::SLIVER) {
                    $out[] = [max($from, $low), min($to, $high)];
                }
            }
        }

        return $out;
    }

    private static function region(Design $design, Field $field): Contour
    {
        $wall = $design->walls[$field->wall] ?? null;
        if ($wall === null) {
            throw Refusal::because('field.no_wall', sprintf('The wall %s lay on is not there any more.', $field->name), [$field->id]);
        }
        if ($wall->isCurved()) {
            throw Refusal::because('field.curved', sprintf('%s needs a flat wall: this one is an arc.', $field->name),
                [$field->id, $wall->id]);
        }
        if ($field->opening !== null) {
            $opening = $design->openings[$field->opening] ?? null;
            if ($opening === null || $opening->host !== $wall->id) {
                throw Refusal::because('field.no_opening', sprintf('The opening %s filled is not there any more.', $field->name),
                    [$field->id]);
            }
            $placed = Places::in($design)->of($opening);

            return $placed->outline?->shifted($placed->left, $placed->sill)
                ?? Contour::rectangle($placed->left, $placed->sill, $placed->right, $placed->head);
        }
        $floor = $design->storeys->floor($field->storey);
        $region = Contour::polygon(array_merge(...array_map(static fn (array $p): array => [$p[0], $floor + $p[1]], $field->region)));
        $body = Bodies::one($design, $wall);
        [$x0, $y0, $x1, $y1] = $region->bounds();
        if ($x0 < -0.01 || $x1 > $body->length + 0.01 || $y0 < $body->foot - 0.01 || $y1 > $body->head + 0.01) {
            throw Refusal::because('field.off_wall', sprintf(
                'The region of %s reaches %s off its wall.', $field->name,
                Length::mark(max(-$x0, $x1 - $body->length, $body->foot - $y0, $y1 - $body->head)),
            ), [$field->id, $wall->id]);
        }

        return $region;
    }

    /** Of its region, what is clear between the battens, mm². */
    public function freeArea(): float
    {
        return abs($this->region->area()) - array_sum(array_map(static fn (Contour $c): float => abs($c->area()), $this->pieces));
    }
}
