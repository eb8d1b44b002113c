<?php

declare(strict_types=1);

namespace Isleward\Core\Arrange;

use Isleward\Core\Measure\Refusal;

/**
 * Intervals laid out along a path: distances along it in mm, each interval given by its length and answered by its start.
 * Nothing here knows what the path or the intervals are, so arcs are served by arc length. A gap that comes out negative
 * is answered as it is: whether things may overlap is for the caller to say.
 */
final readonly class Spacing
{
    /**
     * @param  list<float>  $starts
     * @param  float  $gap  the gap between neighbours when all are equal, or the pitch of centres
     */
    private function __construct(public array $starts, public float $gap)
    {
    }

    /**
     * Equal gaps between neighbours from $from to $to; with $ends also before the first and after the last, else the
     * first begins at $from and the last ends at $to.
     *
     * @param  list<float>  $widths
     *
     * @throws Refusal when there is nothing to share
     */
    public static function equalGaps(array $widths, float $from, float $to, bool $ends): self
    {
        $count = count($widths);
        $gaps = $ends ? $count + 1 : $count - 1;
        self::requireSome($gaps, $ends);
        $gap = ($to - $from - array_sum($widths)) / $gaps;
        $at = $from + ($ends ? $gap : 0.0);
        $starts = [];
        foreach ($widths as $width) {
            $starts[] = $at;
            $at += $width + $gap;
        }

        return new self($starts, $gap);
    }

    /**
     * Centres at one pitch: with $ends each has an equal share of the length and stands in its middle, else the first
     * begins at $from and the last ends at $to.
     *
     * @param  list<float>  $widths
     *
     * @throws Refusal when there is nothing to share
     */
    public static function equalCentres(array $widths, float $from, float $to, bool $ends): self
    {
        $count = count($widths);
        self::requireSome($ends ? $count : $count - 1, $ends);
        $first = $ends ? $from + ($to - $from) / (2 * $count) : $from + $widths[0] / 2;
        $pitch = $ends ? ($to - $from) / $count : ($to - $widths[$count - 1] / 2 - $first) / ($count - 1);
        $starts = [];
        foreach ($widths as $i => $width) {
            $starts[] = $first + $i * $pitch - $width / 2;
        }

        return new self($starts, $pitch);
    }

    /** $count more after the one that starts at $start, each $pitch further (negative: to the left). */
    public static function byPitch(float $start, float $pitch, int $count): self
    {
        $starts = [];
        for ($i = 1; $i <= $count; $i++) {
            $starts[] = $start + $i * $pitch;
        }

        return new self($starts, $pitch);
    }

    /**
     * As many of one width as leave $pier at the least between them and at both ends, with equal gaps.
     *
     * @throws Refusal when not one has room
     */
    public static function asManyAsFit(float $width, float $from, float $to, float $pier): self
    {
        // the slack keeps a length that is a whole number of modules from losing one to rounding
        $count = (int) floor(($to - $from - $pier + 1e-6) / ($width + $pier));
        if ($count < 1) {
            throw Refusal::because('arrange.no_room', 'There is no room for even one with piers of that length at both sides.');
        }

        return self::equalGaps(array_fill(0, $count, $width), $from, $to, true);
    }

    /**
     * The points that divide a length into equal parts.
     *
     * @return list<float>
     */
    public static function divide(float $from, float $to, int $parts): array
    {
        $points = [];
        for ($i = 1; $i < $parts; $i++) {
            $points[] = $from + ($to - $from) * $i / $parts;
        }

        return $points;
    }

    /** Where an interval starts when it is mirrored about a point. */
    public static function mirrored(float $start, float $width, float $about): float
    {
        return 2 * $about - $start - $width;
    }

    private static function requireSome(int $shares, bool $ends): void
    {
        if ($shares < 1) {
            throw Refusal::because(
                'arrange.too_few',
                $ends
                                    ? 'Choose one opening at the least.'
                                    : 'Between the outer two there is something to space only when three or more are chosen on one storey of a wall.',
            );
        }
    }
}
