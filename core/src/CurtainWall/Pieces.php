<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The pieces of a grid's lines, from one crossing line to the next: a profile, null for a joint, false where nothing stands, since it was
 * taken away. (i, j) is the upright line i and the level line j, or the place between them and the next ones.
 *
 * Where pieces of both axes meet, one axis has the crossing: the one that goes on when the other ends there, else the one that stands
 * earlier in the type's order. Edges run on past the face as it were: whoever reaches one goes on there.
 */
final class Pieces
{
    /** @var array<int, array<int, MemberProfile|null|false>> by upright line and row */
    public array $upright = [];

    /** @var array<int, array<int, MemberProfile|null|false>> by level line and bay */
    public array $level = [];

    /** @var bool whether every line is of one profile from end to end */
    public bool $uniform;

    /** @var list<Lost> changes that could not be kept */
    public array $lost = [];

    /** @var array<int, array{float, float, float, float, bool|null}> worked out once each */
    private array $crossings = [];

    /** @var array<string, array{float, float, bool}> by role */
    private array $bands = [];

    /** @var array<string, int> by role: its place in the order */
    private array $rank;

    /** bays */
    public readonly int $nx;

    /** rows */
    public readonly int $ny;

    /**
     * @param  list<MemberChange>  $changes
     *
     * @throws Refusal when a piece would end where nothing holds it
     */
    public function __construct(
        public readonly GridRules $rules,
        public readonly Lines $bays,
        public readonly Lines $rows,
        private readonly FaceEnds $ends,
        array $changes,
    ) {
        $this->nx = count($bays->at) - 1;
        $this->ny = count($rows->at) - 1;
        $whole = $bays->only === [] && $rows->only === [] && $bays->gaps === [] && $rows->gaps === [];
        $this->uniform = $changes === [] && $whole;
        $this->rank = array_flip(array_column($rules->order, 'value'));
        $this->layOut();
        $this->shorten(Axis::Upright);
        $this->shorten(Axis::Level);
        $this->change($changes);
        if (! $this->uniform) {
            $this->requireHeld();
        }
    }

    /** No foot member stands in a bay; whether one stood there. */
    public function openFoot(int $bay): bool
    {
        if ($this->level[0][$bay] === null) {
            return false;
        }
        foreach ($this->between(Axis::Level, 0, $bay) as $part) {
            $this->level[0][$part] = null;
        }
        $this->uniform = false;
        $this->crossings = [];

        return true;
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

    /** Takes away what lines have outside the one bay or row they stand in, and in those they do not stand in. */
    private function shorten(Axis $axis): void
    {
        [$own, $crossing, $count] = $axis === Axis::Upright ? [$this->bays, $this->rows, $this->ny] : [$this->rows, $this->bays, $this->nx];
        foreach ($own->only as $name => $within) {
            $stands = $crossing->from($within);
            if ($stands === []) {
                $this->lost[] = $this->nowhere($axis, (string) $name, $within);
            }
            $this->takeAway($axis, (string) $name, array_diff($count > 0 ? range(0, $count - 1) : [], $stands));
        }
        foreach ($own->gaps as [$name, $within]) {
            $gone = $crossing->from($within);
            if ($gone === []) {
                $this->lost[] = $this->nowhere($axis, $name, $within);
            }
            $this->takeAway($axis, $name, $gone);
        }
    }

    private function nowhere(Axis $axis, string $line, string $within): Lost
    {
        return new Lost(Lost::LINES, sprintf(
            'The %s at line %s, in which %s line %s was changed, is not there any more.',
            $axis === Axis::Upright ? 'row' : 'bay',
            $within,
            $axis === Axis::Upright ? 'upright' : 'level',
            $line,
        ));
    }

    /** @param  array<int>  $places */
    private function takeAway(Axis $axis, string $name, array $places): void
    {
        $line = ($axis === Axis::Upright ? $this->bays : $this->rows)->place($name);
        if ($line !== null) {
            foreach ($places as $k) {
                $this->put($axis, $line, $k, false);
            }
        }
    }

    private function put(Axis $axis, int $line, int $place, MemberProfile|null|false $piece): void
    {
        if ($axis === Axis::Upright) {
            $this->upright[$line][$place] = $piece;
        } else {
            $this->level[$line][$place] = $piece;
        }
    }

    /**
     * The places along a line between those that cross it there: lines of one bay or row cross only what stands in it.
     *
     * @return list<int>
     */
    private function between(Axis $axis, int $line, int $place): array
    {
        [$crossing, $pieces, $last] = $axis === Axis::Upright
            ? [$this->rows, $this->level, $this->ny]
            : [$this->bays, $this->upright, $this->nx];
        $crosses = fn (int $k): bool => $crossing->isWhole($k)
            || self::piece($pieces[$k], $line) !== false || self::piece($pieces[$k], $line - 1) !== false;
        $from = $place;
        while ($from > 0 && ! $crosses($from)) {
            $from--;
        }
        $to = $place + 1;
        while ($to < $last && ! $crosses($to)) {
            $to++;
        }

        return range($from, $to - 1);
    }

    /** @param  list<MemberChange>  $changes */
    private function change(array $changes): void
    {
        foreach ($changes as $change) {
            [$own, $crossing] = $change->axis === Axis::Upright ? [$this->bays, $this->rows] : [$this->rows, $this->bays];
            $line = $own->place($change->line);
            $from = $crossing->place($change->from);
            if ($line === null || $from === null || $from === count($crossing->at) - 1) {
                $this->lost[] = new Lost(Lost::MEMBERS, sprintf(
                    'The member on %s line %s, from line %s on, is not there any more.',
                    $change->axis->value,
                    $change->line,
                    $change->from,
                ));

                continue;
            }
            $edge = $line === 0 || $line === count($own->at) - 1;
            $to = $change->profile ?? ($edge ? null : false);
            foreach ($this->between($change->axis, $line, $from) as $part) {
                $this->put($change->axis, $line, $part, $to);
            }
        }
    }

    /** A piece that would end where nothing holds it is refused. */
    private function requireHeld(): void
    {
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

    public function role(Axis $axis, int $line): Role
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

    public function width(MemberProfile|null|false $piece, bool $edge): float
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
    public function crossing(int $i, int $j): array
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
    public function band(Role $role): array
    {
        $profile = $this->profile($role);
        $wide = $this->width($profile, $role->isPerimeter());

        return match ($role) {
            Role::Left, Role::Foot => [0.0, $wide, $profile !== null],
            Role::Right, Role::Head => [-$wide, 0.0, $profile !== null],
            default => [-$wide / 2, $wide / 2, $profile !== null],
        };
    }

    /** @param  array<int, MemberProfile|null|false>  $line */
    private static function piece(array $line, int $k): MemberProfile|null|false
    {
        return $k < 0 || $k >= count($line) ? false : $line[$k];
    }
}
