<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;

/** What runs are made of: members, infills and joints, alike ones together, longest or largest first. */
final class RunTakeOff
{
    /** What marks of members begin with. */
    private const LETTERS = [
        'mullion' => 'M', 'left side' => 'M', 'right side' => 'M', 'transom' => 'T', 'head' => 'H', 'foot' => 'F', 'corner post' => 'P',
        'mitred mullion' => 'P', 'free member' => 'D',
    ];

    /**
     * @param  iterable<Run>  $runs
     * @return list<MemberRow>
     */
    public static function members(iterable $runs): array
    {
        $alike = $keys = $held = [];
        foreach ($runs as $run) {
            foreach ($run->members() as $member) {
                // members that share what they are made of are alike
                $made = spl_object_id($member->pieces[0]);
                $key = $keys[$member->what][$made] ??= self::key($member);
                $held[$made] = $member->pieces[0]; // an id is one's own as long as one is there
                $alike[$key][] = $member;
            }
        }
        $called = [];
        foreach ($keys as $what => $made) {
            foreach ($made as $key) {
                $called[$key][$what] = true;
            }
        }
        $rows = [];
        foreach (self::lettered($alike) as [$mark, $group, $key]) {
            $first = $group[0];
            $rows[] = new MemberRow(
                $mark,
                implode(', ', array_keys($called[$key])),
                $first->profile,
                $first->length,
                $first->ends,
                $first->radius,
                $first->volume(),
                count($group),
            );
        }

        return $rows;
    }

    /**
     * The mark of each of these: alike ones have one, longest first.
     *
     * @param  list<RunMember>  $members
     * @return list<string>
     */
    public static function marks(array $members): array
    {
        $alike = $keys = $places = [];
        foreach ($members as $i => $member) {
            $key = $keys[$member->what][spl_object_id($member->pieces[0])] ??= self::key($member);
            $alike[$key][] = $member;
            $places[$key][] = $i;
        }
        $marks = [];
        foreach (self::lettered($alike) as [$mark, , $key]) {
            foreach ($places[$key] as $i) {
                $marks[$i] = $mark;
            }
        }
        ksort($marks);

        return array_values($marks);
    }

    /**
     * @param  array<string, non-empty-list<RunMember>>  $alike
     * @return list<array{string, non-empty-list<RunMember>, string}> mark, members, key
     */
    private static function lettered(array $alike): array
    {
        uasort($alike, static fn (array $a, array $b): int => [self::LETTERS[$a[0]->what], -$a[0]->length, $a[0]->profile->key()]
            <=> [self::LETTERS[$b[0]->what], -$b[0]->length, $b[0]->profile->key()]);
        $numbers = $out = [];
        foreach ($alike as $key => $group) {
            $letter = self::LETTERS[$group[0]->what];
            $numbers[$letter] = ($numbers[$letter] ?? 0) + 1;
            $out[] = [$letter.$numbers[$letter], $group, $key];
        }

        return $out;
    }

    /**
     * One for each piece of infill, alike ones with one mark, in the order they were given.
     *
     * @param  list<RunPane>  $panes
     * @param  list<float>  $covers  by how much each runs into the members round it, mm
     * @return list<array{int, InfillRow}> which pane, and what it is
     */
    public static function infillRows(array $panes, array $covers): array
    {
        $alike = $pieces = [];
        foreach ($panes as $i => $pane) {
            foreach ($pane->cell->infill->kind === InfillKind::Void ? [] : $pane->daylight as $seen) {
                $key = self::paneKey($pane->cell->infill, $seen, $pane->radius).'|'.$covers[$i];
                $alike[$key] ??= self::infill($pane->cell->infill, $seen, $covers[$i], $pane->radius);
                $pieces[] = [$i, $key];
            }
        }
        $order = static fn (InfillRow $row): array => [$row->infill->kind->value, -$row->area];
        uasort($alike, static fn (InfillRow $a, InfillRow $b): int => $order($a) <=> $order($b));
        $n = 0;
        $marked = array_map(static function (InfillRow $row) use (&$n): InfillRow {
            return $row->marked('G'.(++$n));
        }, $alike);

        return array_map(static fn (array $p): array => [$p[0], $marked[$p[1]]], $pieces);
    }

    /**
     * @param  iterable<Run>  $runs
     * @param  float  $cover  by how much infills run into the members round them, mm
     * @return list<InfillRow>
     */
    public static function infills(iterable $runs, float $cover): array
    {
        $alike = $keys = $held = [];
        foreach ($runs as $run) {
            foreach ($run->panes() as $pane) {
                $infill = $pane->cell->infill;
                if ($infill->kind === InfillKind::Void) {
                    continue;
                }
                $of = spl_object_id($infill);
                $made = $pane->pieces === [] ? 0 : spl_object_id($pane->pieces[0]);
                $held[] = [$infill, $pane->pieces];
                foreach ($pane->daylight as $seen) {
                    $key = $made !== 0 && count($pane->daylight) === 1
                        ? $keys[$of][$made] ??= self::paneKey($infill, $seen, $pane->radius)
                        : self::paneKey($infill, $seen, $pane->radius);
                    $alike[$key] ??= [self::infill($infill, $seen, $cover, $pane->radius), 0];
                    $alike[$key][1]++;
                }
            }
        }
        $order = static fn (InfillRow $row): array => [$row->infill->kind->value, -$row->area];
        usort($alike, static fn (array $a, array $b): int => $order($a[0]) <=> $order($b[0]));

        return array_map(static fn (array $one, int $i): InfillRow => new InfillRow(
            'G'.($i + 1),
            $one[0]->infill,
            $one[0]->shape,
            $one[0]->width,
            $one[0]->height,
            $one[0]->area,
            $one[0]->weight,
            $one[0]->radius,
            $one[1],
        ), $alike, array_keys($alike));
    }

    /**
     * Straight members as pieces to be cut, by profile: every profile has bars of its own. Bent ones are rolled, not cut from a list.
     *
     * @param  list<MemberRow>  $members
     * @return array<string, non-empty-list<CutPiece>> by the name of the profile
     */
    public static function pieces(array $members): array
    {
        $pieces = [];
        foreach ($members as $row) {
            if ($row->radius === null) {
                $pieces[$row->profile->name()][] = new CutPiece($row->mark, $row->length, $row->count);
            }
        }

        return $pieces;
    }

    /** Equal for members that are alike: ends the other way round are the same on the bench. */
    private static function key(RunMember $member): string
    {
        $ends = array_map(static fn (array $end): string => sprintf('%.2f/%.2f', ...$end), $member->ends);
        sort($ends);

        return implode('|', [
            self::LETTERS[$member->what],
            $member->profile->key(),
            sprintf('%.1f|%.1f', $member->length, $member->radius ?? 0.0),
            ...$ends,
        ]);
    }

    private static function paneKey(Infill $infill, Contour $seen, ?float $radius): string
    {
        return json_encode($infill->toArray(), JSON_THROW_ON_ERROR).sprintf(
            '|%.1f|%.1f|%d|%.0f|%.1f',
            $seen->width(),
            $seen->height(),
            count($seen->edges()),
            $seen->area(),
            $radius ?? 0.0,
        );
    }

    private static function infill(Infill $infill, Contour $seen, float $cover, ?float $radius): InfillRow
    {
        $sides = count($seen->edges());
        $area = $seen->area();
        [$width, $height] = [$seen->width() + 2 * $cover, $seen->height() + 2 * $cover];
        // as cut it is larger by a strip all round, and by the corners of that: a rectangle by four squares
        $cut = $seen->isRectangle() ? $width * $height : $area + $seen->perimeter() * $cover;

        return new InfillRow(
            '',
            $infill,
            $seen->isRectangle() ? 'rectangle' : $sides.' sides',
            $width,
            $height,
            $area,
            $infill->weight() * $cut / 1e6,
            $radius,
            1,
        );
    }
}
