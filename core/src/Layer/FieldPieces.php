<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Upright;
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
     * @param  list<float>  $lengths  of each along its run, mm; of one that is bent to an arc along its longer side
     * @param  float  $gap  clear between two, mm
     * @param  Profile|null  $frame  round the battens, within the region
     * @param  list<float>  $turns  of each about its own axis, degrees
     * @param  Upright  $surface  the outer face of its wall
     */
    private function __construct(
        public Field $field,
        public Contour $region,
        public array $pieces,
        public array $lengths,
        public float $gap,
        public ?Profile $frame,
        public array $turns,
        public Upright $surface,
    ) {
    }

    /** @throws Refusal when they cannot lie so */
    public static function of(Design $design, Field $field): self
    {
        $whole = FieldRegion::of($design, $field);
        [$region, $frame] = self::framed($field, $whole);
        $about = new Vec2(0.0, 0.0);
        // turned so that the battens run upright
        $turned = $region->turned(-deg2rad($field->angle), $about);
        [$x0, , $x1] = $turned->bounds();
        [$starts, $gap, $wide] = self::spaced($field, $x1 - $x0);
        $pieces = $lengths = $turns = [];
        $count = count($starts);
        foreach ($starts as $k => $start) {
            $turn = $field->turnOf($k, $count);
            $own = $field->turnLaw === null ? $wide : $field->seenWide($turn);
            $from = $x0 + $start + ($wide - $own) / 2;
            foreach (self::between($field, $turned, $from, $from + $own) as $piece) {
                [, $y0, , $y1] = $piece->bounds();
                if ($y1 - $y0 >= self::SLIVER) {
                    $pieces[] = $piece->turned(deg2rad($field->angle), $about);
                    $lengths[] = $y1 - $y0;
                    $turns[] = $turn;
                }
            }
        }
        if ($pieces === []) {
            throw Refusal::because('field.none', sprintf('Nothing of %s would be left within its region.', $field->name), [$field->id]);
        }

        $surface = $design->wall($field->wall)->surface();

        return new self($field, $whole, $pieces, self::bent($field, $surface, $lengths), $gap, $frame, $turns, $surface);
    }

    /**
     * Lengths of battens that are bent to an arc: along their longer side, which lies on another radius than the wall's face.
     *
     * @param  list<float>  $lengths  over the face
     * @return list<float>
     */
    private static function bent(Field $field, Upright $surface, array $lengths): array
    {
        if ($surface->isFlat() || $field->isUpright()) {
            return $lengths;
        }
        $wide = max($surface->lengthAt(0.0, 1.0, -$field->out), $surface->lengthAt(0.0, 1.0, -$field->out - $field->deep));
        [$up, $along] = [cos(deg2rad($field->angle)), sin(deg2rad($field->angle)) * $wide];

        return array_map(static fn (float $length): float => $length * hypot($up, $along), $lengths);
    }

    /**
     * Where battens begin over a clear width, what is clear between two, and how wide each of their places is: as wide as the one that is
     * seen widest.
     *
     * @return array{non-empty-list<float>, float, float}
     */
    private static function spaced(Field $field, float $clear): array
    {
        $wide = $field->seenWide();
        [$starts, $gap] = $field->battens->over($clear, $wide);
        // how many there are hangs on how wide they are, and how they are turned on how many
        for ($again = 0; $field->turnLaw !== null && $again < 20; $again++) {
            $count = count($starts);
            $widest = max(array_map(static fn (int $i): float => $field->seenWide($field->turnOf($i, $count)), array_keys($starts)));
            if ($widest <= $wide + 1e-6 && $again > 0) {
                break;
            }
            $wide = $again === 0 ? $widest : max($wide, $widest);
            [$starts, $gap] = $field->battens->over($clear, $wide);
        }

        return [$starts, $gap, $wide];
    }

    /**
     * @return array{Contour, Profile|null} what battens fill, and the frame round them
     *
     * @throws Refusal when the frame leaves nothing
     */
    private static function framed(Field $field, Contour $whole): array
    {
        if ($field->frameWide === 0.0) {
            return [$whole, null];
        }
        $inner = Margin::inside($whole, array_fill(0, count($whole->edges()), $field->frameWide))->inner;
        if ($inner === null) {
            throw Refusal::because('field.frame', sprintf(
                'A frame %s wide leaves nothing of the region of %s, which is %s by %s.', Length::mark($field->frameWide), $field->name,
                Length::mark($whole->width()), Length::mark($whole->height()),
            ), [$field->id], ['field' => 'frameWide']);
        }

        return [$inner, new Profile($whole, [$inner->reversed()])];
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

    /** Whether its battens are bent to an arc. */
    public function isBent(): bool
    {
        return ! $this->surface->isFlat() && ! $this->field->isUpright();
    }

    /** Of its region, what is clear between the battens, mm². */
    public function freeArea(): float
    {
        return abs($this->region->area()) - array_sum(array_map(static fn (Contour $c): float => abs($c->area()), $this->pieces))
            - ($this->frame?->area() ?? 0.0);
    }
}
