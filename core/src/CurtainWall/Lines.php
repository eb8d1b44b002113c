<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The lines of a grid along one axis, edges included: those of a rule, numbered from "1" as the rule sets them out, and what was changed
 * by hand. A line may stand in one bay or row only. A change that makes no sense any more is left out and told.
 */
final readonly class Lines
{
    public const START = '0';

    public const END = 'end';

    /**
     * @param  non-empty-list<string>  $names  "0", then lines in order, then "end"
     * @param  non-empty-list<float>  $at  where they lie, mm from the start
     * @param  list<Lost>  $lost  changes that could not be kept
     * @param  array<array-key, string>  $only  by name of those that stand in one bay or row only: the crossing line that one begins at
     * @param  list<array{string, string}>  $gaps  lines that do not stand in one bay or row, and the crossing line that one begins at
     */
    private function __construct(
        public array $names,
        public array $at,
        public array $lost,
        public array $only = [],
        public array $gaps = [],
    ) {
    }

    /**
     * @param  list<float>  $ruled  where the rule sets lines out
     * @param  list<LineChange>  $changes  of this axis
     * @param  float  $before  how far the face reaches past its start, mm
     * @param  float  $after  how far it reaches past its end
     */
    public static function of(array $ruled, float $length, array $changes, float $before = 0.0, float $after = 0.0): self
    {
        $at = $lost = $only = $gaps = [];
        foreach ($ruled as $i => $place) {
            $at[(string) ($i + 1)] = $place;
        }
        foreach ($changes as $change) {
            try {
                [$name, $within] = [$change->name(), $change->within];
                $stands = static fn (int|string $n): bool => ! isset($only[$n]) || $only[$n] === $within;
                $beside = array_filter($at, $stands, ARRAY_FILTER_USE_KEY);
                if ($change->done === LineDone::Removed) {
                    self::requireThere($at, $change, count($ruled));
                    if ($within === null) {
                        unset($at[$change->line], $only[$change->line]);
                    } else {
                        $gaps[] = [$change->line, $within];
                    }

                    continue;
                }
                $at[$name] = self::placed($at, $beside, $length, $change, count($ruled));
                if ($within !== null) {
                    $only[$name] = $within;
                    $gaps = $name === $change->line ? $gaps : [...$gaps, [$change->line, $within]];
                }
            } catch (Refusal $no) {
                $lost[] = new Lost(Lost::LINES, $no->getMessage());
            }
        }
        asort($at);

        return new self(
            [self::START, ...array_map(strval(...), array_keys($at)), self::END],
            [-$before, ...array_values($at), $length + $after],
            $lost,
            $only,
            $gaps,
        );
    }

    /** Whether a line stands all along, and not in one bay or row only. */
    public function isWhole(int $place): bool
    {
        return ! isset($this->only[$this->names[$place]]);
    }

    /**
     * The lines between which one stands: the nearest before and after it of those that stand all along, or where it stands.
     *
     * @return array{int|null, int|null}
     */
    public function beside(int $place): array
    {
        $in = $this->only[$this->names[$place]] ?? null;
        [$before, $after] = [null, null];
        foreach (array_keys($this->at) as $k) {
            if ($this->isWhole($k) || $this->only[$this->names[$k]] === $in) {
                $before = $k < $place ? $k : $before;
                $after = $k > $place ? $after ?? $k : $after;
            }
        }

        return [$before, $after];
    }

    /**
     * The places between whole lines, counted.
     *
     * @return list<int> by place between one line and the next: which bay or row it is, or is a part of, from 0
     */
    public function numbers(): array
    {
        $out = [];
        $number = -1;
        for ($i = 0, $n = count($this->at) - 1; $i < $n; $i++) {
            $number += $this->isWhole($i) ? 1 : 0;
            $out[] = $number;
        }

        return $out;
    }

    /** @return list<int> places from a line up to the next whole one; none where there is no such line */
    public function from(string $name): array
    {
        $from = $this->place($name);
        $last = count($this->at) - 1;
        if ($from === null || $from === $last) {
            return [];
        }
        $to = $from + 1;
        while ($to < $last && ! $this->isWhole($to)) {
            $to++;
        }

        return range($from, $to - 1);
    }

    /** The same counted from the other end. */
    public function mirrored(float $length): self
    {
        /** @var non-empty-list<float> $at */
        $at = array_map(static fn (float $p): float => $length - $p, array_reverse($this->at));
        $names = array_reverse($this->names);

        return new self($names, $at, $this->lost, $this->only, $this->gaps);
    }

    /** @return int|null its place among them; null when it is none of them */
    public function place(string $name): ?int
    {
        $found = array_search($name, $this->names, true);

        return $found === false ? null : $found;
    }

    /**
     * Where a line comes to lie that is added or moved.
     *
     * @param  array<array-key, float>  $at
     * @param  array<array-key, float>  $beside  those of them that stand beside it
     *
     * @throws Refusal when there is no such line, or no such place
     */
    private static function placed(array $at, array $beside, float $length, LineChange $change, int $ruled): float
    {
        $called = self::called($change);
        if ($change->done === LineDone::Moved) {
            self::requireThere($at, $change, $ruled);
        }
        if ($change->beside !== null) {
            $next = [self::START => 0.0, self::END => $length][$change->beside] ?? $at[$change->beside] ?? throw self::lost(
                sprintf('The %s was measured from line %s, which is not there any more.', $called, $change->beside),
            );
            $before = $after = $next;
        } elseif ($change->done === LineDone::Added) {
            [$before, $after] = [0.0, $length];
        } else {
            $here = $at[$change->line];
            $before = max([0.0, ...array_filter($beside, static fn (float $p): bool => $p < $here)]);
            $after = min([$length, ...array_filter($beside, static fn (float $p): bool => $p > $here)]);
        }
        $place = match ($change->from) {
            LineFrom::Start => $change->at,
            LineFrom::End => $length - $change->at,
            LineFrom::Before => $before + $change->at,
            LineFrom::After => $after - $change->at,
        };
        if ($place <= Tolerance::LENGTH || $place >= $length - Tolerance::LENGTH) {
            throw self::lost(sprintf('The %s would lie at %s, past the end at %s.', $called, Length::mark($place), Length::mark($length)));
        }
        $upon = self::upon($beside, $change->name(), $place);

        return $upon === null ? $place : throw self::lost(sprintf('The %s would lie on line %s.', $called, $upon));
    }

    /** @param  array<array-key, float>  $at */
    private static function requireThere(array $at, LineChange $change, int $ruled): void
    {
        if (! isset($at[$change->line])) {
            throw self::lost(sprintf('The %s is not there any more: the rule sets out %d.', self::called($change), $ruled));
        }
    }

    private static function called(LineChange $change): string
    {
        $axis = $change->axis === Axis::Upright ? 'upright' : 'level';

        return sprintf('%s line %s that was %s', $axis, $change->line, $change->done->value);
    }

    private static function lost(string $says): Refusal
    {
        return Refusal::because('lines.lost', $says);
    }

    /** @param  array<array-key, float>  $at */
    private static function upon(array $at, string $line, float $place): ?string
    {
        foreach ($at as $other => $there) {
            if ((string) $other !== $line && abs($there - $place) <= Tolerance::LENGTH) {
                return (string) $other;
            }
        }

        return null;
    }
}
