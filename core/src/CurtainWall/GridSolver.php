<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Works a stretch out: lines → pieces of members between them → members, cells, infills.
 *
 * Every line is a row of pieces from one crossing line to the next. Where pieces of both axes meet, one axis wins: the one that goes on
 * when the other ends there, else the one that stands earlier in the type's order. It takes the whole of the crossing; what comes from the
 * other axis ends at its side. So members never lie over each other, whatever was changed by hand, and with the cells they fill the face.
 * Edges run on past the face as it were: whoever reaches one goes on there. Plain arrays are used while it works; (i, j) is the upright
 * line i and the level line j.
 */
final class GridSolver
{
    /** @var list<array<int, MemberProfile|null|false>> by upright line and row: a profile, null for a joint, false for nothing */
    private array $upright = [];

    /** @var list<array<int, MemberProfile|null|false>> by level line and bay */
    private array $level = [];

    /** @var array<int, array{float, float, float, float, bool|null}> worked out once each */
    private array $crossings = [];

    /** @var array<int, array<int, array<int, bool>>> by rule, row and rows: whether it is for them */
    private array $banded = [];

    /** @var array<string, array{float, float, bool}> by role */
    private array $bands = [];

    /** @var array<string, int> by role: its place in the order */
    private array $rank;

    /** @var bool whether every line is of one profile from end to end */
    private bool $uniform;

    /** @var list<string> */
    private array $notes = [];

    /** @var list<string> */
    private array $lost;

    private int $nx;

    private int $ny;

    /** @param  list<float>  $floors */
    private function __construct(
        private readonly GridRules $rules,
        private readonly Lines $bays,
        private readonly Lines $rows,
        private readonly ByHand $byHand,
        private readonly array $floors,
        private readonly FaceEnds $ends,
    ) {
        $this->nx = count($bays->at) - 1;
        $this->ny = count($rows->at) - 1;
        $this->lost = [...$bays->lost, ...$rows->lost];
        $this->uniform = $byHand->members === [];
        $this->rank = array_flip(array_column($rules->order, 'value'));
    }

    /**
     * @param  float  $width  along the face, by arc length where it is curved, mm
     * @param  float  $height  up the face, mm
     * @param  list<float>  $floors  levels of all floors over the foot, also of those under it and over the head, in order
     * @param  list<float>|null  $bays  upright lines that were set out round a whole run; null to set them out here
     *
     * @throws Refusal when rules do not fit, or members leave no room between them
     */
    public static function solve(
        GridRules $rules,
        float $width,
        float $height,
        array $floors = [],
        ?ByHand $byHand = null,
        ?array $bays = null,
        FaceEnds $ends = new FaceEnds,
    ): Grid {
        $byHand ??= ByHand::nothing();
        $of = static fn (Axis $axis): array => array_values(
            array_filter($byHand->lines, static fn (LineChange $c): bool => $c->axis === $axis),
        );
        $between = array_values(array_filter(
            $floors,
            static fn (float $f): bool => $f > Tolerance::LENGTH && $f < $height - Tolerance::LENGTH,
        ));
        $solver = new self(
            $rules,
            Lines::of($bays ?? $rules->bays->places($width), $width, $of(Axis::Upright), $ends->before, $ends->after),
            Lines::of($rules->rows->up($height, $between), $height, $of(Axis::Level)),
            $byHand,
            $floors,
            $ends,
        );

        return $solver->work($width, $height);
    }

    private function work(float $width, float $height): Grid
    {
        $this->layOut();
        $this->change();
        $this->openUnderDoors();
        $this->requireHeld();
        $members = [...$this->members(Axis::Upright), ...$this->members(Axis::Level)];
        $cells = $this->cells($members);

        $grid = new Grid($width, $height, $this->bays, $this->rows, $members, $cells, $this->lost, $this->notes);

        return Splitting::of($grid, $this->byHand->free);
    }

    /** A door over the foot is walked through: no foot member stands under it. */
    private function openUnderDoors(): void
    {
        $doors = array_filter($this->rules->infills, static fn (InfillRule $r): bool => $r->infill->kind === InfillKind::Door);
        $changed = array_filter($this->byHand->infills, static fn (InfillChange $c): bool => $c->infill->kind === InfillKind::Door);
        for ($i = 0; $i < $this->nx && ($doors !== [] || $changed !== []); $i++) {
            $infill = $this->infill($i, 0, 1);
            foreach ($this->byHand->infills as $change) {
                if ($change->left === $this->bays->names[$i] && $change->foot === Lines::START) {
                    $infill = $change->infill;
                }
            }
            if ($infill->kind === InfillKind::Door && $this->level[0][$i] !== null) {
                $this->level[0][$i] = null;
                $this->uniform = false;
                $this->notes[] = sprintf('The foot member of bay %d is taken out for the door that stands there.', $i + 1);
            }
        }
    }

    private function layOut(): void
    {
        for ($i = 0; $i <= $this->nx; $i++) {
            $this->upright[] = array_fill(0, $this->ny, $this->profile($this->role(Axis::Upright, $i)));
        }
        for ($j = 0; $j <= $this->ny; $j++) {
            $this->level[] = array_fill(0, $this->nx, $this->profile($this->role(Axis::Level, $j)));
        }
    }

    private function change(): void
    {
        foreach ($this->byHand->members as $change) {
            [$own, $crossing] = $change->axis === Axis::Upright ? [$this->bays, $this->rows] : [$this->rows, $this->bays];
            $line = $own->place($change->line);
            $from = $crossing->place($change->from);
            if ($line === null || $from === null || $from === count($crossing->at) - 1) {
                $this->lost[] = sprintf(
                    'The member on %s line %s, from line %s on, is not there any more.',
                    $change->axis->value,
                    $change->line,
                    $change->from,
                );

                continue;
            }
            $edge = $line === 0 || $line === count($own->at) - 1;
            $to = $change->profile ?? ($edge ? null : false);
            if ($change->axis === Axis::Upright) {
                $this->upright[$line][$from] = $to;
            } else {
                $this->level[$line][$from] = $to;
            }
        }
    }

    /** A piece that would end where nothing holds it is refused. */
    private function requireHeld(): void
    {
        if ($this->byHand->members === []) {
            return;
        }
        for ($i = 1; $i < $this->nx; $i++) {
            for ($j = 1; $j < $this->ny; $j++) {
                $ends = [$this->upright[$i][$j], $this->upright[$i][$j - 1], $this->level[$j][$i], $this->level[$j][$i - 1]];
                if (count(array_filter($ends, static fn (MemberProfile|null|false $p): bool => $p !== false)) === 1) {
                    throw Refusal::because(
                        'grid.member_unheld',
                        sprintf(
                            'A member would end at %s along and %s up with nothing there to hold it.',
                            Length::mark($this->bays->at[$i]),
                            Length::mark($this->rows->at[$j]),
                        ),
                        details: ['u' => $this->bays->at[$i], 'v' => $this->rows->at[$j]],
                    );
                }
            }
        }
    }

    private function profile(Role $role): ?MemberProfile
    {
        return ($role === Role::Left && $this->ends->leftIsCorner) || ($role === Role::Right && $this->ends->rightIsCorner)
            ? null
            : $this->rules->profile($role);
    }

    private function role(Axis $axis, int $line): Role
    {
        return match (true) {
            $axis === Axis::Upright && $line === 0 => Role::Left,
            $axis === Axis::Upright && $line === $this->nx => Role::Right,
            $axis === Axis::Upright => Role::Mullion,
            $line === 0 => Role::Foot,
            $line === $this->ny => Role::Head,
            default => Role::Transom,
        };
    }

    private function width(MemberProfile|null|false $piece, bool $edge): float
    {
        return match (true) {
            $piece === false => 0.0,
            $piece === null => $edge ? 0.0 : $this->rules->joint,
            default => $piece->face,
        };
    }

    /**
     * What a crossing is: how much of the face it takes, and whether the upright axis has it.
     *
     * @return array{float, float, float, float, bool|null}  x0, y0, x1, y1; null where not both axes meet
     */
    private function crossing(int $i, int $j): array
    {
        return $this->crossings[$i * ($this->ny + 1) + $j] ??= $this->crossed($i, $j);
    }

    /** @return array{float, float, float, float, bool|null} */
    private function crossed(int $i, int $j): array
    {
        [$x, $y] = [$this->bays->at[$i], $this->rows->at[$j]];
        if ($this->uniform) {
            // as the rules say both lines go on here, each as wide as its role
            [$across, $along] = [$this->role(Axis::Upright, $i), $this->role(Axis::Level, $j)];
            [$x0, $x1, $one] = $this->bands[$across->value] ??= $this->band($across);
            [$y0, $y1, $other] = $this->bands[$along->value] ??= $this->band($along);
            $upright = $one !== $other ? $one : $this->rank[$across->value] < $this->rank[$along->value];

            return [$x + $x0, $y + $y0, $x + $x1, $y + $y1, $upright];
        }
        $up = self::piece($this->upright[$i], $j);
        $down = self::piece($this->upright[$i], $j - 1);
        $right = self::piece($this->level[$j], $i);
        $left = self::piece($this->level[$j], $i - 1);
        [$edgeX, $edgeY] = [$i === 0 || $i === $this->nx, $j === 0 || $j === $this->ny];
        $w = max($this->width($up, $edgeX), $this->width($down, $edgeX));
        $h = max($this->width($left, $edgeY), $this->width($right, $edgeY));
        $x0 = $i === 0 ? $x : $x - ($i === $this->nx ? $w : $w / 2);
        $y0 = $j === 0 ? $y : $y - ($j === $this->ny ? $h : $h / 2);
        $uprightOn = ($up !== false || $j === $this->ny) && ($down !== false || $j === 0);
        $levelOn = ($right !== false || $i === $this->nx) && ($left !== false || $i === 0);
        if (($up === false && $down === false) || ($left === false && $right === false)) {
            return [$x0, $y0, $x0 + $w, $y0 + $h, null];
        }
        // a joint runs up to members, never through them
        $members = [
            $up instanceof MemberProfile || $down instanceof MemberProfile,
            $left instanceof MemberProfile || $right instanceof MemberProfile,
        ];
        $upright = match (true) {
            $members[0] !== $members[1] => $members[0],
            $uprightOn !== $levelOn => $uprightOn,
            default => $this->rank[$this->role(Axis::Upright, $i)->value] < $this->rank[$this->role(Axis::Level, $j)->value],
        };

        return [$x0, $y0, $x0 + $w, $y0 + $h, $upright];
    }

    /** @return array{float, float, bool} from where to where a role reaches about its line, and whether it is a member */
    private function band(Role $role): array
    {
        $profile = $this->profile($role);
        $wide = $this->width($profile, $role->isPerimeter());

        return match ($role) {
            Role::Left, Role::Foot => [0.0, $wide, $profile !== null],
            Role::Right, Role::Head => [-$wide, 0.0, $profile !== null],
            default => [-$wide / 2, $wide / 2, $profile !== null],
        };
    }

    /** @return list<GridMember> */
    private function members(Axis $axis): array
    {
        $isUpright = $axis === Axis::Upright;
        [$pieces, $own, $crossing] = $isUpright ? [$this->upright, $this->bays, $this->rows] : [$this->level, $this->rows, $this->bays];
        $out = [];
        foreach ($pieces as $line => $row) {
            $role = $this->role($axis, $line);
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
                        $before === false || $this->width($piece, $edge) > $this->width($before, $edge) => $low,
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
                    $after === false || $this->width($piece, $edge) >= $this->width($after, $edge) => $endHigh,
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
        [$x0, $y0, $x1, $y1, $upright] = $isUpright ? $this->crossing($line, $k) : $this->crossing($k, $line);

        return $isUpright ? [$upright, $y0, $y1] : [$upright === null ? null : ! $upright, $x0, $x1];
    }

    /** @param  array{int, int}  $where  the line it is on, and the piece it begins with */
    private function member(Role $role, ?MemberProfile $piece, array $where, float $at, float $from, float $to): ?GridMember
    {
        [$line, $begun] = $where;
        $wide = $this->width($piece, $role->isPerimeter());
        if ($piece === null && $wide === 0.0) {
            return null;
        }
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
        $low = match ($role) {
            Role::Left, Role::Foot => $at,
            Role::Right, Role::Head => $at - $wide,
            default => $at - $wide / 2,
        };
        [$own, $crossing] = $role->isUpright() ? [$this->bays, $this->rows] : [$this->rows, $this->bays];

        return $role->isUpright()
            ? new GridMember($role, $piece, $own->names[$line], $crossing->names[$begun], $low, $from, $low + $wide, $to)
            : new GridMember($role, $piece, $own->names[$line], $crossing->names[$begun], $from, $low, $to, $low + $wide);
    }

    /** @param  array<int, MemberProfile|null|false>  $line */
    private static function piece(array $line, int $k): MemberProfile|null|false
    {
        return $k < 0 || $k >= count($line) ? false : $line[$k];
    }

    private static function alike(?MemberProfile $a, ?MemberProfile $b): bool
    {
        return $a === $b || ($a !== null && $b !== null && $a->key() === $b->key());
    }

    /**
     * @param  list<GridMember>  $members
     * @return list<GridCell>
     */
    private function cells(array $members): array
    {
        $changed = [];
        foreach ($this->byHand->infills as $change) {
            [$i, $j] = [$this->bays->place($change->left), $this->rows->place($change->foot)];
            if ($i === null || $j === null || $i === $this->nx || $j === $this->ny) {
                $this->lost[] = sprintf('The cell at line %s over line %s is not there any more.', $change->left, $change->foot);

                continue;
            }
            $changed[$i][$j] = $change->infill;
        }
        $cells = [];
        if ($this->uniform && $this->byHand->infills === []) {
            return $this->ruled();
        }
        foreach (Joined::groups($this->upright, $this->level, $this->nx, $this->ny) as $places) {
            [$bay, $row, $bays, $rows] = Joined::extent($places);
            $daylight = $this->daylight($places, $bay, $row, $bays, $rows, $members);
            $infill = null;
            foreach ($changed === [] ? [] : $places as [$i, $j]) {
                $infill ??= $changed[$i][$j] ?? null;
            }
            $infill ??= $this->infill($bay, $row, $rows);
            $cells[] = new GridCell(
                $this->bays->names[$bay],
                $this->rows->names[$row],
                $bay,
                $row,
                $bays,
                $rows,
                $daylight,
                $infill,
            );
        }

        return $cells;
    }

    /** @return list<GridCell> where nothing was changed by hand, so that every place is a cell between members of its lines */
    private function ruled(): array
    {
        $cells = $xs = $ys = [];
        foreach ([[Axis::Upright, $this->bays->at], [Axis::Level, $this->rows->at]] as [$axis, $at]) {
            $sides = [];
            foreach ($at as $line => $place) {
                [$low, $high] = $this->band($this->role($axis, $line));
                $sides[] = [$place + $low, $place + $high];
            }
            [$xs, $ys] = $axis === Axis::Upright ? [$sides, $ys] : [$xs, $sides];
        }
        for ($j = 0; $j < $this->ny; $j++) {
            for ($i = 0; $i < $this->nx; $i++) {
                [$x0, $y0, $x1, $y1] = [$xs[$i][1], $ys[$j][1], $xs[$i + 1][0], $ys[$j + 1][0]];
                if ($x1 - $x0 <= Tolerance::LENGTH || $y1 - $y0 <= Tolerance::LENGTH) {
                    throw $this->tooSmall($i, $j, $x1 - $x0, $y1 - $y0);
                }
                $cells[] = new GridCell(
                    $this->bays->names[$i],
                    $this->rows->names[$j],
                    $i,
                    $j,
                    1,
                    1,
                    new Profile(Contour::rectangle($x0, $y0, $x1, $y1)),
                    $this->infill($i, $j, 1),
                );
            }
        }

        return $cells;
    }

    private function infill(int $bay, int $row, int $rows): Infill
    {
        $middle = ($this->rows->at[$row] + $this->rows->at[$row + $rows]) / 2;
        for ($i = count($this->rules->infills) - 1; $i > 0; $i--) {
            $rule = $this->rules->infills[$i];
            // a band is by rows alone
            $holds = $rule->where === Where::Band
                ? $this->banded[$i][$row][$rows] ??= $rule->holds($bay, $row, $middle, $this->floors)
                : $rule->holds($bay, $row, $middle, $this->floors);
            if ($holds) {
                return $rule->infill;
            }
        }

        return $this->rules->infills[0]->infill;
    }

    /**
     * @param  non-empty-list<array{int, int}>  $places
     * @param  list<GridMember>  $members
     */
    private function daylight(array $places, int $bay, int $row, int $bays, int $rows, array $members): Profile
    {
        if (count($places) === $bays * $rows) {
            $sides = $this->sides($bay, $row, $bays, $rows);
            if ($sides !== null) {
                [$x0, $y0, $x1, $y1] = $sides;
                if ($x1 - $x0 <= Tolerance::LENGTH || $y1 - $y0 <= Tolerance::LENGTH) {
                    throw $this->tooSmall($bay, $row, $x1 - $x0, $y1 - $y0);
                }

                return new Profile(Contour::rectangle($x0, $y0, $x1, $y1));
            }
        }

        return $this->left($places, $bay, $row, $members);
    }

    /**
     * The rectangle between the members round a block of places; null where they are not one line each.
     *
     * @return array{float, float, float, float}|null
     */
    private function sides(int $bay, int $row, int $bays, int $rows): ?array
    {
        for ($i = $bay; $i < $bay + $bays; $i++) {
            for ($j = $row; $j < $row + $rows; $j++) {
                if (($i > $bay && $this->upright[$i][$j] !== false) || ($j > $row && $this->level[$j][$i] !== false)) {
                    return null;
                }
            }
        }
        $inset = function (Axis $axis, int $line, int $from, int $count): ?float {
            $pieces = array_slice($axis === Axis::Upright ? $this->upright[$line] : $this->level[$line], $from, $count);
            $edge = $this->role($axis, $line)->isPerimeter();
            $widths = array_unique(array_map(fn (MemberProfile|null|false $p): float => $this->width($p, $edge), $pieces));

            return count($widths) === 1 ? $widths[0] * ($edge ? 1.0 : 0.5) : null;
        };
        $left = $inset(Axis::Upright, $bay, $row, $rows);
        $right = $inset(Axis::Upright, $bay + $bays, $row, $rows);
        $foot = $inset(Axis::Level, $row, $bay, $bays);
        $head = $inset(Axis::Level, $row + $rows, $bay, $bays);

        if ($left === null || $right === null || $foot === null || $head === null) {
            return null;
        }
        $box = [
            $this->bays->at[$bay] + $left, $this->rows->at[$row] + $foot,
            $this->bays->at[$bay + $bays] - $right, $this->rows->at[$row + $rows] - $head,
        ];

        return ! $this->uniform && $this->reachesIn($bay, $row, $bays, $rows, $box) ? null : $box;
    }

    /**
     * Whether a crossing on the edge of a block of places reaches into the rectangle between its members: it may where all four pieces
     * that meet there differ.
     *
     * @param  array{float, float, float, float}  $box
     */
    private function reachesIn(int $bay, int $row, int $bays, int $rows, array $box): bool
    {
        for ($i = $bay; $i <= $bay + $bays; $i++) {
            for ($j = $row; $j <= $row + $rows; $j++) {
                [$x0, $y0, $x1, $y1, $meets] = $this->crossing($i, $j);
                if ($meets !== null && min($x1, $box[2]) - max($x0, $box[0]) > Tolerance::GRID
                    && min($y1, $box[3]) - max($y0, $box[1]) > Tolerance::GRID) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * What members leave of places that are no rectangle together.
     *
     * @param  non-empty-list<array{int, int}>  $places
     * @param  list<GridMember>  $members
     */
    private function left(array $places, int $bay, int $row, array $members): Profile
    {
        $whole = Region::empty();
        foreach ($places as [$i, $j]) {
            $whole = $whole->union(Region::rectangle(
                $this->bays->at[$i],
                $this->rows->at[$j],
                $this->bays->at[$i + 1],
                $this->rows->at[$j + 1],
            ));
        }
        [$x0, $y0, $x1, $y1] = $whole->bounds() ?? throw new \LogicException('There is a place.');
        $in = array_filter(
            $members,
            static fn (GridMember $m): bool => $m->x1 > $x0 && $m->x0 < $x1 && $m->y1 > $y0 && $m->y0 < $y1,
        );
        $left = $whole->cut(array_values(array_map(
            static fn (GridMember $m): array => [$m->x0, $m->y0, $m->x1, $m->y0, $m->x1, $m->y1, $m->x0, $m->y1],
            $in,
        )));
        $outer = $holes = [];
        foreach ($left->rings as $ring) {
            if (Region::signedArea($ring) > 0) {
                $outer[] = Contour::polygon($ring);
            } else {
                $holes[] = Contour::polygon($ring);
            }
        }
        if (count($outer) !== 1) {
            throw $this->tooSmall($bay, $row, $x1 - $x0, $y1 - $y0);
        }

        return new Profile($outer[0], $holes);
    }

    private function tooSmall(int $bay, int $row, float $width, float $height): Refusal
    {
        return Refusal::because(
            'grid.cell_no_room',
            sprintf(
                'The cell of bay %d, row %d would be %s wide and %s high between its members.',
                $bay + 1,
                $row + 1,
                Length::mark(max(0.0, $width)),
                Length::mark(max(0.0, $height)),
            ),
            details: ['bay' => $bay + 1, 'row' => $row + 1, 'width' => $width, 'height' => $height],
        );
    }
}
