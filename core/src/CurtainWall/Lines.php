<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;

/**
 * The lines of a grid along one axis, edges included: those of a rule, numbered from "1" as the rule sets them out, and what was changed
 * by hand. A change that makes no sense any more is left out and told.
 */
final readonly class Lines
{
    public const START = '0';

    public const END = 'end';

    /**
     * @param  non-empty-list<string>  $names  "0", then lines in order, then "end"
     * @param  non-empty-list<float>  $at  where they lie, mm from the start
     * @param  list<Lost>  $lost  changes that could not be kept
     */
    private function __construct(public array $names, public array $at, public array $lost)
    {
    }

    /**
     * @param  list<float>  $ruled  where the rule sets lines out
     * @param  list<LineChange>  $changes  of this axis
     * @param  float  $before  how far the face reaches past its start, mm
     * @param  float  $after  how far it reaches past its end
     */
    public static function of(array $ruled, float $length, array $changes, float $before = 0.0, float $after = 0.0): self
    {
        $at = [];
        foreach ($ruled as $i => $place) {
            $at[(string) ($i + 1)] = $place;
        }
        $lost = [];
        foreach ($changes as $change) {
            $line = $change->line;
            $called = ($change->axis === Axis::Upright ? 'upright' : 'level').' line '.$line;
            $place = null;
            if ($change->done === LineDone::Added) {
                $place = $change->from === LineFrom::End || $change->from === LineFrom::After ? $length - $change->at : $change->at;
            } elseif (! isset($at[$line])) {
                $lost[] = new Lost(Lost::LINES, sprintf(
                    'The %s that was %s is not there any more: the rule sets out %d.',
                    $called,
                    $change->done->value,
                    count($ruled),
                ));

                continue;
            }
            if ($change->done === LineDone::Removed) {
                unset($at[$line]);

                continue;
            }
            $place ??= self::moved($at, $line, $length, $change);
            if ($place <= Tolerance::LENGTH || $place >= $length - Tolerance::LENGTH) {
                $lost[] = new Lost(Lost::LINES, sprintf(
                    'The %s that was %s would lie at %s, past the end at %s.',
                    $called,
                    $change->done->value,
                    Length::mark($place),
                    Length::mark($length),
                ));

                continue;
            }
            $upon = self::upon($at, $line, $place);
            if ($upon !== null) {
                $lost[] = new Lost(Lost::LINES, sprintf('The %s that was %s would lie on line %s.', $called, $change->done->value, $upon));

                continue;
            }
            $at[$line] = $place;
        }
        asort($at);

        return new self(
            [self::START, ...array_map(strval(...), array_keys($at)), self::END],
            [-$before, ...array_values($at), $length + $after],
            $lost,
        );
    }

    /** The same counted from the other end. */
    public function mirrored(float $length): self
    {
        /** @var non-empty-list<float> $at */
        $at = array_map(static fn (float $p): float => $length - $p, array_reverse($this->at));
        $names = array_reverse($this->names);

        return new self($names, $at, $this->lost);
    }

    /** @return int|null its place among them; null when it is none of them */
    public function place(string $name): ?int
    {
        $found = array_search($name, $this->names, true);

        return $found === false ? null : $found;
    }

    /** @param  array<array-key, float>  $at */
    private static function moved(array $at, string $line, float $length, LineChange $change): float
    {
        asort($at);
        $here = $at[$line];
        $before = max([0.0, ...array_filter($at, static fn (float $p): bool => $p < $here)]);
        $after = min([$length, ...array_filter($at, static fn (float $p): bool => $p > $here)]);

        return match ($change->from) {
            LineFrom::Start => $change->at,
            LineFrom::End => $length - $change->at,
            LineFrom::Before => $before + $change->at,
            LineFrom::After => $after - $change->at,
        };
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
