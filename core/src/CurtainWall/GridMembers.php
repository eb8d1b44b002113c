<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Members made of the pieces of a grid's lines: pieces that are alike and go on over their crossings are one. Who has a crossing takes the
 * whole of it; what comes from the other axis ends at its side. So no two lie over each other, whatever was changed by hand.
 */
final readonly class GridMembers
{
    private function __construct(private Pieces $pieces)
    {
    }

    /**
     * @return list<GridMember> joints among them
     *
     * @throws Refusal when there is no room for one between those it stands between
     */
    public static function of(Pieces $pieces): array
    {
        $made = new self($pieces);

        return $pieces->uniform
            ? [...$made->uniform(Axis::Upright), ...$made->uniform(Axis::Level)]
            : [...$made->members(Axis::Upright), ...$made->members(Axis::Level)];
    }

    /**
     * Where nothing was changed by hand each line is of one profile from end to end, and what crosses it crosses all of its role alike.
     *
     * @return list<GridMember>
     */
    private function uniform(Axis $axis): array
    {
        $isUpright = $axis === Axis::Upright;
        [$own, $crossing] = $isUpright ? [$this->pieces->bays, $this->pieces->rows] : [$this->pieces->rows, $this->pieces->bays];
        $last = count($crossing->at) - 1;
        $out = $spans = [];
        foreach ($own->at as $line => $at) {
            $role = $this->pieces->role($axis, $line);
            $profile = ($isUpright ? $this->pieces->upright : $this->pieces->level)[$line][0];
            [$under, $over] = $this->pieces->band($role);
            if ($profile === false || ($profile === null && $over - $under === 0.0)) {
                continue;
            }
            $of = $spans[$role->value] ??= $this->spans($role, $isUpright, $line, $last);
            [$low, $high, $name] = [$at + $under, $at + $over, $own->names[$line]];
            foreach ($of as [$begun, $from, $to]) {
                $out[] = $isUpright
                    ? new GridMember($role, $profile, $name, $crossing->names[$begun], $low, $from, $high, $to)
                    : new GridMember($role, $profile, $name, $crossing->names[$begun], $from, $low, $to, $high);
            }
        }

        return $out;
    }

    /**
     * The members along a line of a role: where each begins, and from where to where it runs.
     *
     * @return list<array{int, float, float}>
     */
    private function spans(Role $role, bool $isUpright, int $line, int $last): array
    {
        $out = [];
        $begun = 0;
        [$wins, $low, $high] = $this->along($isUpright, $line, 0);
        $from = $wins === true ? $low : $high;
        for ($k = 1; $k <= $last; $k++) {
            [$wins, $low, $high] = $this->along($isUpright, $line, $k);
            if ($wins === true && $k < $last) {
                continue;
            }
            $to = $wins === true ? $high : $low;
            $this->requireRoom($role, $from, $to, ($isUpright ? $this->pieces->bays : $this->pieces->rows)->at[$line]);
            $out[] = [$begun, $from, $to];
            [$begun, $from] = [$k, $high];
        }

        return $out;
    }

    /** @return list<GridMember> */
    private function members(Axis $axis): array
    {
        $isUpright = $axis === Axis::Upright;
        [$pieces, $own, $crossing] = $isUpright
            ? [$this->pieces->upright, $this->pieces->bays, $this->pieces->rows]
            : [$this->pieces->level, $this->pieces->rows, $this->pieces->bays];
        $out = [];
        foreach ($pieces as $line => $row) {
            $role = $this->pieces->role($axis, $line);
            $edge = $role->isPerimeter();
            $at = $own->at[$line];
            $begun = 0;
            $begin = null;
            $next = $this->along($isUpright, $line, 0);
            $before = false;
            $last = count($row) - 1;
            foreach ($row as $k => $piece) {
                [$wins, $low, $high] = $next;
                [$endWins, $endLow, $endHigh] = $next = $this->along($isUpright, $line, $k + 1);
                if ($piece === false) {
                    $before = false;

                    continue;
                }
                $goesOn = $before !== false && self::alike($before, $piece) && $wins !== false;
                if (! $goesOn || $begin === null) {
                    $begun = $k;
                    $begin = match (true) {
                        $wins === null => $crossing->at[$k],
                        ! $wins => $high,
                        // of two that differ the wider one takes the crossing
                        $before === false || $this->pieces->width($piece, $edge) > $this->pieces->width($before, $edge) => $low,
                        default => $high,
                    };
                }
                $before = $piece;
                $after = $k === $last ? false : $row[$k + 1];
                if ($after !== false && self::alike($piece, $after) && $endWins !== false) {
                    continue;
                }
                $end = match (true) {
                    $endWins === null => $crossing->at[$k + 1],
                    ! $endWins => $endLow,
                    $after === false || $this->pieces->width($piece, $edge) >= $this->pieces->width($after, $edge) => $endHigh,
                    default => $endLow,
                };
                $out[] = $this->member($role, $piece, [$line, $begun], $at, $begin, $end);
                $begin = null;
            }
        }

        return array_values(array_filter($out, static fn (?GridMember $m): bool => $m !== null));
    }

    /**
     * A crossing as seen along a line of an axis: whether this axis has it, and from where to where it reaches along it.
     *
     * @return array{bool|null, float, float}
     */
    private function along(bool $isUpright, int $line, int $k): array
    {
        [$x0, $y0, $x1, $y1, $upright] = $isUpright ? $this->pieces->crossing($line, $k) : $this->pieces->crossing($k, $line);

        return $isUpright ? [$upright, $y0, $y1] : [$upright === null ? null : ! $upright, $x0, $x1];
    }

    /** @param  array{int, int}  $where  the line it is on, and the piece it begins with */
    private function member(Role $role, ?MemberProfile $piece, array $where, float $at, float $from, float $to): ?GridMember
    {
        [$line, $begun] = $where;
        $wide = $this->pieces->width($piece, $role->isPerimeter());
        if ($piece === null && $wide === 0.0) {
            return null;
        }
        $this->requireRoom($role, $from, $to, $at);
        $low = match ($role) {
            Role::Left, Role::Foot => $at,
            Role::Right, Role::Head => $at - $wide,
            default => $at - $wide / 2,
        };
        [$own, $crossing] = $role->isUpright() ? [$this->pieces->bays, $this->pieces->rows] : [$this->pieces->rows, $this->pieces->bays];

        return $role->isUpright()
            ? new GridMember($role, $piece, $own->names[$line], $crossing->names[$begun], $low, $from, $low + $wide, $to)
            : new GridMember($role, $piece, $own->names[$line], $crossing->names[$begun], $from, $low, $to, $low + $wide);
    }

    /** @throws Refusal when it would have no length */
    private function requireRoom(Role $role, float $from, float $to, float $at): void
    {
        if ($to - $from < Tolerance::LENGTH) {
            throw Refusal::because(
                'grid.no_room',
                sprintf(
                    'There is no room for a %s: it would be %s long between the members it stands between.',
                    $role->word(),
                    Length::mark($to - $from),
                ),
                details: ['role' => $role->value, 'at' => $at],
            );
        }
    }

    private static function alike(?MemberProfile $a, ?MemberProfile $b): bool
    {
        return $a === $b || ($a !== null && $b !== null && $a->key() === $b->key());
    }
}
