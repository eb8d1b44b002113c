<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** Where the pieces of a band stand along its line: by their middles, mm of arc length from its start. */
final readonly class Spaced
{
    /** Of more a browser cannot make a drawing that is quick. */
    public const MOST = 20000;

    /**
     * @param  float  $size  the pitch, or the greatest one, mm
     * @param  float  $start  from the start of the line to where the first may stand, mm
     * @param  float  $end  from where the last may stand to the end of the line, mm
     * @param  float  $clear  from a corner, mm
     */
    private function __construct(
        public SpacedBy $by,
        public float $size,
        public int $count,
        public float $start,
        public float $end,
        public Remainder $remainder,
        public Corners $corners,
        public float $clear,
    ) {
    }

    public static function from(Fields $f): self
    {
        $by = $f->choice('by', SpacedBy::class, SpacedBy::Pitch);
        $start = $f->has('start') ? $f->length('start') : 0.0;
        $end = $f->has('end') ? $f->length('end') : 0.0;
        foreach (['start' => $start, 'end' => $end] as $field => $margin) {
            if ($margin < 0) {
                throw Refusal::because('band.margin', sprintf('A band begins and ends on its line: %s lies %s off it.', $field,
                    Length::mark(-$margin)), details: ['field' => $field]);
            }
        }
        $corners = $f->choice('corners', Corners::class, Corners::Through);
        if ($corners === Corners::On && $by === SpacedBy::Count) {
            throw Refusal::because(
                'band.count_on_corners',
                'With one on every corner their number follows from the pitch: say how far apart they stand instead.',
                details: ['field' => 'corners'],
            );
        }

        return new self(
            $by,
            $by === SpacedBy::Count && ! $f->has('size') ? 200.0 : $f->size('size', 'How far apart they stand'),
            $f->has('count') ? $f->count('count', 'How many there are', 1, self::MOST) : 10,
            $start,
            $end,
            $f->choice('remainder', Remainder::class, Remainder::End),
            $corners,
            $f->has('clear') ? max(0.0, $f->size('clear', 'How clear of a corner they stay', 0.0)) : 0.0,
        );
    }

    /**
     * @param  list<float>  $corners  distances of the line's corners from its start, in order; of a closed line with one at its start
     * that too
     * @return list<float>
     */
    public function along(float $length, bool $closed, array $corners): array
    {
        $places = $this->corners === Corners::On && $corners !== []
            ? $this->between($length, $closed, $corners)
            : $this->even($length, $closed);
        if ($this->corners !== Corners::Clear || $this->clear <= 0) {
            return $places;
        }
        $near = static function (float $s, float $corner) use ($length, $closed): float {
            $apart = abs($s - $corner);

            return $closed ? min($apart, $length - $apart) : $apart;
        };

        return array_values(array_filter($places, function (float $s) use ($corners, $near): bool {
            foreach ($corners as $corner) {
                if ($near($s, $corner) < $this->clear - Tolerance::LENGTH) {
                    return false;
                }
            }

            return true;
        }));
    }

    /** @return list<float> */
    private function even(float $length, bool $closed): array
    {
        // once round, the one that would stand where the first does is left out
        $use = $closed && $this->end <= 0 ? $length : $length - $this->start - $this->end;
        $round = $closed && $this->end <= 0;
        if ($use < 0 || $use <= 0 && $this->count > 1 && $this->by === SpacedBy::Count) {
            throw Refusal::because('band.no_room', sprintf(
                'The line is %s long, and %s from its start and %s from its end are left free: there is no room for any.',
                Length::mark($length), Length::mark($this->start), Length::mark($this->end),
            ));
        }
        [$gaps, $pitch, $first] = match ($this->by) {
            SpacedBy::Pitch => $this->pitched($use, $round),
            SpacedBy::Count => $this->counted($use, $round),
            SpacedBy::Greatest => $this->fitted($use),
        };
        $count = $round ? $gaps : $gaps + 1;
        $this->requireFew($count);
        $places = [];
        for ($i = 0; $i < $count; $i++) {
            $s = $this->start + $first + $i * $pitch;
            $places[] = $round ? fmod($s, $length) : $s;
        }
        sort($places);

        return $places;
    }

    /** @return array{int, float, float} gaps, how wide, and how far the first stands from the start */
    private function pitched(float $use, bool $round): array
    {
        $gaps = (int) floor($use / $this->size + 1e-9);
        $left = $use - $gaps * $this->size;
        if ($round) {
            // what is left over is shared: there is no end for it to lie at
            $gaps = max(1, $gaps);

            return [$gaps, $this->remainder === Remainder::Both ? $use / $gaps : $this->size, 0.0];
        }

        return [$gaps, $this->size, match ($this->remainder) {
            Remainder::Start => $left,
            Remainder::Both => $left / 2,
            Remainder::End => 0.0,
        }];
    }

    /** @return array{int, float, float} */
    private function counted(float $use, bool $round): array
    {
        if ($round) {
            return [$this->count, $use / $this->count, 0.0];
        }

        // one alone stands in the middle
        return $this->count === 1 ? [0, 0.0, $use / 2] : [$this->count - 1, $use / ($this->count - 1), 0.0];
    }

    /** @return array{int, float, float} */
    private function fitted(float $use): array
    {
        $gaps = max(1, (int) ceil($use / $this->size - 1e-9));

        return [$gaps, $use / $gaps, 0.0];
    }

    /**
     * One on every corner, and evenly between them no farther apart than the pitch.
     *
     * @param  non-empty-list<float>  $corners
     * @return list<float>
     */
    private function between(float $length, bool $closed, array $corners): array
    {
        $stops = $corners;
        if ($closed) {
            $stops[] = $corners[0] + $length;
        } else {
            $from = $this->start;
            $to = $length - $this->end;
            $stops = [$from, ...array_filter($corners, static fn (float $c): bool => $c > $from && $c < $to), $to];
        }
        $places = [];
        for ($i = 1, $n = count($stops); $i < $n; $i++) {
            $gaps = max(1, (int) ceil(($stops[$i] - $stops[$i - 1]) / $this->size - 1e-9));
            $this->requireFew(count($places) + $gaps + 1);
            for ($k = 0; $k < $gaps; $k++) {
                $places[] = $stops[$i - 1] + ($stops[$i] - $stops[$i - 1]) * $k / $gaps;
            }
        }
        if (! $closed) {
            $places[] = $stops[count($stops) - 1];
        }
        $places = array_map(static fn (float $s): float => $closed && $s >= $length - 1e-9 ? $s - $length : $s, $places);
        sort($places);

        return $places;
    }

    private function requireFew(int $count): void
    {
        if ($count > self::MOST) {
            throw Refusal::because(
                'band.too_many',
                sprintf('That would be %s pieces; a band has %s at the most. Set them farther apart, or make several bands.',
                    number_format($count, 0, '.', ' '), number_format(self::MOST, 0, '.', ' ')),
                details: ['count' => $count],
            );
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'by' => $this->by->value, 'size' => $this->size, 'count' => $this->count, 'start' => $this->start, 'end' => $this->end,
            'remainder' => $this->remainder->value, 'corners' => $this->corners->value, 'clear' => $this->clear,
        ];
    }
}
