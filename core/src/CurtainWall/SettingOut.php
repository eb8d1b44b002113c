<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * A rule that sets lines out along a length: bays along a run, by arc length where that is curved, or rows up it. Lines are middles of
 * members; the two ends are no lines of it. All in mm.
 */
final readonly class SettingOut
{
    /** So many lines a rule sets out at the most. */
    private const MOST = 4000;

    /** Of what lies nearer together, as jambs that stand over each other do, one line is made, mm. */
    private const APART = 0.5;

    /**
     * @param  float  $size  the module, or the greatest size; 0 where neither is asked for
     * @param  list<float>  $sizes  of a list, in order; or places from the start
     * @param  float  $offset  by how much the pattern is moved from where its rule lets it start
     * @param  bool  $perStorey  rows: anew in every storey, with a line at every floor
     * @param  bool  $through  bays: round the whole run, through its corners, and not anew on every stretch
     * @param  int  $restAt  before which size of a list the rest stands; their number for after them all
     */
    private function __construct(
        public SetBy $by,
        public float $size,
        public int $count,
        public Remainder $remainder,
        public array $sizes,
        public AfterSizes $after,
        public float $offset,
        public bool $perStorey,
        public bool $through,
        public int $restAt,
    ) {
    }

    public static function module(float $size, Remainder $remainder = Remainder::End, float $offset = 0.0): self
    {
        return self::from(new Fields(['by' => 'module', 'size' => $size, 'remainder' => $remainder->value, 'offset' => $offset]));
    }

    public static function count(int $count): self
    {
        return self::from(new Fields(['by' => 'count', 'count' => $count]));
    }

    /**
     * Lines at these places, as many of them as lie between the ends.
     *
     * @param  list<float>  $places  from the start, in any order
     */
    public static function at(array $places): self
    {
        sort($places);
        $once = [];
        foreach ($places as $place) {
            if ($once === [] || $place - $once[count($once) - 1] > self::APART) {
                $once[] = $place;
            }
        }

        return new self(SetBy::Places, 0.0, 0, Remainder::End, $once, AfterSizes::Nothing, 0.0, false, false, 0);
    }

    /** @throws Refusal when a figure is missing or makes no sense */
    public static function from(Fields $f): self
    {
        $by = $f->choice('by', SetBy::class);
        if ($by === SetBy::Places) {
            throw Refusal::because(
                'setting_out.places',
                'A type sets its lines out by a rule; where they are in line with something is said of a curtain wall.',
                details: ['field' => 'by'],
            );
        }
        $after = $f->choice('after', AfterSizes::class, AfterSizes::Again);
        $sizes = [];
        if ($by === SetBy::Sizes) {
            $given = new Fields($f->array('sizes'), $f->units());
            foreach (array_keys($f->array('sizes')) as $i) {
                $sizes[] = $given->size((string) $i, 'A size of the list');
            }
            if ($sizes === [] || count($sizes) > 100) {
                throw Refusal::because(
                    'setting_out.list',
                    sprintf('A list has 1 to 100 sizes; %d were given.', count($sizes)),
                    details: ['field' => 'sizes'],
                );
            }
        }
        $offset = $f->has('offset') ? $f->length('offset') : 0.0;
        if ($offset !== 0.0 && ! self::repeats($by, $f->choice('remainder', Remainder::class, Remainder::End), $after)) {
            throw Refusal::because(
                'setting_out.offset',
                'Only a pattern that repeats can start elsewhere: a module whose remainder is not shared, or a list that comes again.',
                details: ['field' => 'offset'],
            );
        }

        return new self(
            $by,
            match ($by) {
                SetBy::Module => $f->size('size', 'A module'),
                SetBy::Greatest => $f->size('size', 'The greatest size'),
                default => 0.0,
            },
            $by === SetBy::Count ? $f->count('count', 'How many there are', 1, self::MOST) : 0,
            $f->choice('remainder', Remainder::class, Remainder::End),
            $sizes,
            $after,
            $offset,
            $f->bool('perStorey'),
            $f->bool('through'),
            $f->has('restAt') && $after === AfterSizes::Rest
                ? $f->count('restAt', 'The place of the rest', 0, count($sizes))
                : count($sizes),
        );
    }

    /**
     * Where its lines come to lie over a length.
     *
     * @param  string  $what  that is divided, in a sentence: "this stretch", "this storey"
     * @return list<float> from its start, in order, none nearer to an end than the tolerance
     *
     * @throws Refusal with the figures, when the rule does not fit into the length
     */
    public function places(float $length, string $what = 'this stretch'): array
    {
        $places = match ($this->by) {
            SetBy::Module => $this->remainder === Remainder::Shared
                ? self::alike($length, $this->atMost($length, $this->fits($this->size, $length, $what)))
                : $this->repeated($length, [$this->fits($this->size, $length, $what)], $this->origin($length)),
            SetBy::Count => self::alike($length, $this->count),
            SetBy::Greatest => self::alike($length, $this->atMost($length, $this->size)),
            SetBy::Sizes => $this->listed($length, $what),
            SetBy::Places => $this->sizes,
        };

        return array_values(array_filter(
            $places,
            static fn (float $at): bool => $at > Tolerance::LENGTH && $at < $length - Tolerance::LENGTH,
        ));
    }

    /**
     * The same up a height through which storeys run: by storey, where the rule says so, with a line at every floor between.
     *
     * @param  list<float>  $floors  levels of the floors between foot and head, from the foot, in order
     * @return list<float>
     *
     * @throws Refusal when the rule does not fit
     */
    public function up(float $height, array $floors): array
    {
        if (! $this->perStorey) {
            return $this->places($height, 'this height');
        }
        $out = [];
        $from = 0.0;
        foreach ([...$floors, $height] as $to) {
            foreach ($this->places($to - $from, 'this storey') as $at) {
                $out[] = $from + $at;
            }
            if ($to < $height - Tolerance::LENGTH) {
                $out[] = $to;
            }
            $from = $to;
        }

        return $out;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'by' => $this->by->value, 'size' => $this->size, 'count' => $this->count, 'remainder' => $this->remainder->value,
            'sizes' => $this->sizes, 'after' => $this->after->value, 'offset' => $this->offset, 'perStorey' => $this->perStorey,
            'through' => $this->through, 'restAt' => $this->restAt,
        ];
    }

    private static function repeats(SetBy $by, Remainder $remainder, AfterSizes $after): bool
    {
        return match ($by) {
            SetBy::Module => $remainder !== Remainder::Shared,
            SetBy::Sizes => $after === AfterSizes::Again,
            default => false,
        };
    }

    /** @throws Refusal when a module is longer than what it is laid along */
    private function fits(float $module, float $length, string $what): float
    {
        return $module <= $length + Tolerance::LENGTH ? $module : throw Refusal::because(
            'setting_out.module_too_large',
            sprintf('A module of %s does not fit: %s is only %s.', Length::mark($module), $what, Length::mark($length)),
            details: ['field' => 'size', 'module' => $module, 'there' => $length],
        );
    }

    /** Where a module begins to count from: the whole ones lie together. */
    private function origin(float $length): float
    {
        $left = fmod($length + Tolerance::LENGTH, $this->size) - Tolerance::LENGTH;

        return match ($this->remainder) {
            Remainder::Start => $left,
            Remainder::Both => $left / 2,
            default => 0.0,
        };
    }

    /** How many alike are no larger than a size. */
    private function atMost(float $length, float $size): int
    {
        return max(1, (int) ceil(($length - Tolerance::LENGTH) / $size));
    }

    /** @return list<float> */
    private static function alike(float $length, int $count): array
    {
        self::countable($count);

        return array_map(static fn (int $i): float => $length * $i / $count, $count > 1 ? range(1, $count - 1) : []);
    }

    /**
     * A pattern that comes again and again, both ways from where it begins.
     *
     * @param  non-empty-list<float>  $sizes
     * @return list<float>
     */
    private function repeated(float $length, array $sizes, float $origin): array
    {
        $round = array_sum($sizes);
        self::countable((int) ceil($length / $round) * count($sizes));
        $out = [];
        $begins = $origin + $this->offset;
        for ($turn = (int) floor(-$begins / $round) - 1; $begins + $turn * $round < $length; $turn++) {
            $at = $begins + $turn * $round;
            foreach ($sizes as $size) {
                $out[] = $at;
                $at += $size;
            }
        }

        return $out;
    }

    /** @return list<float> */
    private function listed(float $length, string $what): array
    {
        $sizes = $this->sizes;
        if ($this->after === AfterSizes::Again && $sizes !== []) {
            $this->fits($sizes[0], $length, $what);

            return $this->repeated($length, $sizes, 0.0);
        }
        $total = array_sum($sizes);
        $adds = abs($total - $length) <= Tolerance::LENGTH;
        if ($total > $length + Tolerance::LENGTH || ($this->after === AfterSizes::Nothing && ! $adds)) {
            throw Refusal::because(
                'setting_out.list_sum',
                sprintf(
                    '%s %s, and %s is %s: %s %s.',
                    count($sizes) === 1 ? 'The one size of the list is' : sprintf('The %d sizes of the list come to', count($sizes)),
                    Length::mark($total),
                    $what,
                    Length::mark($length),
                    Length::mark(abs($length - $total)),
                    $total > $length ? 'too much' : 'short',
                ),
                details: ['field' => 'sizes', 'takes' => $total, 'there' => $length],
            );
        }
        $out = [];
        $at = 0.0;
        foreach ($sizes as $i => $size) {
            if ($i === $this->restAt) {
                $out[] = $at += $length - $total;
            }
            $out[] = $at += $size;
        }

        return $out;
    }

    private static function countable(int $count): void
    {
        if ($count > self::MOST) {
            throw Refusal::because(
                'setting_out.too_many',
                sprintf('That would be %d lines; %d are set out at the most.', $count, self::MOST),
                details: ['field' => 'size', 'count' => $count],
            );
        }
    }
}
