<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

/** The data of an SVG path as runs of points: straight ones as they are, curves as chords (SVG 1.1, section 8.3 and appendix F.6). */
final class SvgPathReader
{
    private const ARGUMENTS = ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'A' => 7];

    /**
     * @param  float  $step  about how long a chord of a curve is
     * @return \Generator<int, array{list<array{float, float}>, bool}> runs of points, and whether they are of a curve; one by one, so that
     *     whoever has enough can stop
     */
    public static function pieces(string $d, float $step): \Generator
    {
        [$x, $y, $sx, $sy, $px, $py] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $last = '';
        foreach (self::commands($d) as [$command, $v]) {
            /** @var float $x */
            /** @var float $y */
            /** @var float $sx */
            /** @var float $sy */
            /** @var float $px */
            /** @var float $py */
            $upper = strtoupper($command);
            [$ox, $oy] = $command === $upper ? [0.0, 0.0] : [$x, $y];
            switch ($upper) {
                case 'M':
                    [$x, $y] = [$ox + $v[0], $oy + $v[1]];
                    [$sx, $sy] = [$x, $y];
                    break;
                case 'Z':
                    yield [[[$x, $y], [$sx, $sy]], false];
                    [$x, $y] = [$sx, $sy];
                    break;
                case 'L': case 'H': case 'V':
                    [$tx, $ty] = match ($upper) {
                        'L' => [$ox + $v[0], $oy + $v[1]], 'H' => [$ox + $v[0], $y], default => [$x, $oy + $v[0]]
                    };
                    yield [[[$x, $y], [$tx, $ty]], false];
                    [$x, $y] = [$tx, $ty];
                    break;
                case 'A':
                    [$tx, $ty] = [$ox + $v[5], $oy + $v[6]];
                    yield [self::arc($x, $y, abs($v[0]), abs($v[1]), deg2rad($v[2]), $v[3] !== 0.0, $v[4] !== 0.0, $tx, $ty, $step), true];
                    [$x, $y] = [$tx, $ty];
                    break;
                default:
                    $smooth = $upper === 'S' || $upper === 'T';
                    $cubic = $upper === 'C' || $upper === 'S';
                    if ($smooth) {
                        $follows = $cubic ? in_array($last, ['C', 'S'], true) : in_array($last, ['Q', 'T'], true);
                        $v = [($follows ? 2 * $x - $px : $x) - $ox, ($follows ? 2 * $y - $py : $y) - $oy, ...$v];
                    }
                    $c = [];
                    foreach ($v as $k => $value) {
                        $c[] = $value + ($k % 2 === 0 ? $ox : $oy);
                    }
                    $m = count($c);
                    yield [$cubic ? self::cubic($x, $y, $c[0], $c[1], $c[2], $c[3], $c[4], $c[5], $step)
                        : self::cubic(
                            $x,
                            $y,
                            $x + ($c[0] - $x) * 2 / 3,
                            $y + ($c[1] - $y) * 2 / 3,
                            $c[2] + ($c[0] - $c[2]) * 2 / 3,
                            $c[3] + ($c[1] - $c[3]) * 2 / 3,
                            $c[2],
                            $c[3],
                            $step,
                        ),
                        true];
                    [$px, $py] = [$c[$m - 4], $c[$m - 3]];
                    [$x, $y] = [$c[$m - 2], $c[$m - 1]];
            }
            $last = $upper;
        }
    }

    /**
     * Commands one by one, each with its own arguments; what breaks off ends them (SVG 1.1, F.2).
     *
     * @return \Generator<int, array{string, list<float>}>
     */
    private static function commands(string $d): \Generator
    {
        $command = '';
        $values = [];
        $at = 0;
        $length = strlen($d);
        while ($at < $length) {
            $at += strspn($d, " \t\r\n,", $at);
            $letter = $d[$at] ?? '';
            if ($letter !== '' && stripos('MLHVCSQTAZ', $letter) !== false) {
                $command = $letter;
                $values = [];
                $at++;
                if ($letter === 'Z' || $letter === 'z') {
                    yield [$letter, []];
                    $command = '';
                }

                continue;
            }
            $upper = strtoupper($command);
            // the two flags of an arc may stand without a space between them and what follows
            $flag = $upper === 'A' && (count($values) === 3 || count($values) === 4);
            if ($command === '' || preg_match(
                $flag ? '/[01]/A' : '/[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/A',
                $d,
                $found,
                0,
                $at,
            ) !== 1) {
                return;
            }
            $at += strlen($found[0]);
            $values[] = (float) $found[0];
            if (count($values) === self::ARGUMENTS[$upper]) {
                yield [$command, $values];
                $values = [];
                // what follows a first point without a letter are lines
                $command = match ($command) {
                    'M' => 'L', 'm' => 'l', default => $command
                };
            }
        }
    }

    /** @return list<array{float, float}> */
    private static function cubic(
        float $x0,
        float $y0,
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        float $x3,
        float $y3,
        float $step,
    ): array {
        $length = hypot($x1 - $x0, $y1 - $y0) + hypot($x2 - $x1, $y2 - $y1) + hypot($x3 - $x2, $y3 - $y2);
        $n = (int) max(2, min(24, ceil($length / max($step, 1e-9))));
        $points = [];
        for ($i = 0; $i <= $n; $i++) {
            $t = $i / $n;
            $s = 1 - $t;
            $points[] = [
                $s ** 3 * $x0 + 3 * $s * $s * $t * $x1 + 3 * $s * $t * $t * $x2 + $t ** 3 * $x3,
                $s ** 3 * $y0 + 3 * $s * $s * $t * $y1 + 3 * $s * $t * $t * $y2 + $t ** 3 * $y3,
            ];
        }

        return $points;
    }

    /** @return list<array{float, float}> */
    private static function arc(
        float $x0,
        float $y0,
        float $rx,
        float $ry,
        float $turn,
        bool $large,
        bool $sweep,
        float $x1,
        float $y1,
        float $step,
    ): array {
        if ($rx < 1e-9 || $ry < 1e-9 || hypot($x1 - $x0, $y1 - $y0) < 1e-12) {
            return [[$x0, $y0], [$x1, $y1]];
        }
        [$c, $s] = [cos($turn), sin($turn)];
        [$dx, $dy] = [($x0 - $x1) / 2, ($y0 - $y1) / 2];
        [$ax, $ay] = [$c * $dx + $s * $dy, -$s * $dx + $c * $dy];
        $over = ($ax / $rx) ** 2 + ($ay / $ry) ** 2;
        if ($over > 1) {
            [$rx, $ry] = [$rx * sqrt($over), $ry * sqrt($over)];
        }
        $root = sqrt(
            max(0.0, (($rx * $ry) ** 2 - ($rx * $ay) ** 2 - ($ry * $ax) ** 2) / (($rx * $ay) ** 2 + ($ry * $ax) ** 2)),
        ) * ($large === $sweep ? -1 : 1);
        [$bx, $by] = [$root * $rx * $ay / $ry, -$root * $ry * $ax / $rx];
        [$cx, $cy] = [$c * $bx - $s * $by + ($x0 + $x1) / 2, $s * $bx + $c * $by + ($y0 + $y1) / 2];
        $start = atan2(($ay - $by) / $ry, ($ax - $bx) / $rx);
        $by2 = atan2((-$ay - $by) / $ry, (-$ax - $bx) / $rx) - $start;
        if ($sweep && $by2 < 0) {
            $by2 += 2 * M_PI;
        } elseif (! $sweep && $by2 > 0) {
            $by2 -= 2 * M_PI;
        }
        $n = (int) max(4, min(64, ceil(abs($by2) * max($rx, $ry) / max($step, 1e-9))));
        $points = [];
        for ($i = 0; $i <= $n; $i++) {
            $t = $start + $by2 * $i / $n;
            [$ex, $ey] = [$rx * cos($t), $ry * sin($t)];
            $points[] = [$cx + $c * $ex - $s * $ey, $cy + $s * $ex + $c * $ey];
        }

        return $points;
    }
}
