<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/**
 * The cutting list: straight members of all curtain walls packed into the project's bars, each section by itself. A row is so many bars
 * that are cut alike; members that no bar gives, and bent ones, which are rolled, have rows of their own.
 */
final class CuttingSchedule implements Contributor
{
    public function name(): string
    {
        return 'cutting';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('section', 'Section', Measured::Text), new Field('bar', 'Bar', Measured::Length),
            new Field('count', 'Bars', Measured::Count, true), new Field('cuts', 'Cut into', Measured::Text),
            new Field('pieces', 'Pieces', Measured::Count, true), new Field('used', 'Used', Measured::Length, true),
            new Field('left', 'Left over, each', Measured::Length), new Field('waste', 'Waste', Measured::Length, true),
            new Field('wasteShare', 'Waste share', Measured::Share), new Field('stock', 'Stock', Measured::Length, true),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        foreach (self::sections($design, $frontages) as [$profile, $pieces, $elements]) {
            array_push($rows, ...self::cut($design, $profile->name(), $pieces, $elements));
        }

        return $rows;
    }

    /**
     * Bars of a section, and what each is cut into.
     *
     * @param  string  $section  its name, lengths in it marked
     * @param  list<CutPiece>  $pieces
     * @param  list<string>  $elements  they are cut for
     * @return list<Row>
     */
    public static function cut(Design $design, string $section, array $pieces, array $elements): array
    {
        $stock = Stock::usual($design->settings->curtainRules);
        $say = static fn (float $mm): string => Length::format($mm, $design->settings->units);
        $rows = [];
        $section = Length::said($section, $design->settings->units);
        $room = $stock->usable(max($stock->lengths));
        $long = array_filter($pieces, static fn (CutPiece $p): bool => $p->length > $room);
        foreach ($long as $piece) {
            $rows[] = new Row($elements, [
                'section' => $section, 'bar' => null, 'count' => 0,
                'cuts' => sprintf('%d × %s %s: longer than any bar', $piece->count, $piece->mark, $say($piece->length)),
                'pieces' => $piece->count, 'used' => $piece->length * $piece->count, 'left' => null, 'waste' => 0.0,
                'wasteShare' => null, 'stock' => 0.0,
            ]);
        }
        $short = array_values(array_diff_key($pieces, $long));
        foreach ($short === [] ? [] : CuttingList::pack($short, $stock)->bars as $bar) {
            $used = array_sum(array_column($bar->pieces, 1));
            $rows[] = new Row($elements, [
                'section' => $section, 'bar' => $bar->length, 'count' => $bar->count, 'cuts' => self::cuts($bar, $say),
                'pieces' => count($bar->pieces) * $bar->count, 'used' => $used * $bar->count, 'left' => $bar->left,
                'waste' => ($bar->length - $used) * $bar->count, 'wasteShare' => 1 - $used / $bar->length,
                'stock' => $bar->length * $bar->count,
            ]);
        }

        return $rows;
    }

    /**
     * @param  list<\Isleward\Core\Building\Frontage>  $frontages
     * @return list<array{MemberProfile, list<CutPiece>, list<string>}> by section, with what they are cut for
     */
    private static function sections(Design $design, array $frontages): array
    {
        $members = $of = [];
        foreach (PlacedRun::all($design, $frontages) as $place) {
            foreach ($place->members as $member) {
                $members[] = $member;
                $of[] = $place->element;
            }
        }
        $profiles = $lengths = $counts = $elements = [];
        foreach (RunTakeOff::marks($members) as $i => $mark) {
            if ($members[$i]->radius === null) {
                $key = $members[$i]->profile->key();
                $profiles[$key] = $members[$i]->profile;
                $lengths[$key][$mark] = $members[$i]->length;
                $counts[$key][$mark] = ($counts[$key][$mark] ?? 0) + 1;
                $elements[$key][$of[$i]] = true;
            }
        }
        $out = [];
        foreach ($profiles as $key => $profile) {
            $pieces = [];
            foreach ($lengths[$key] as $mark => $length) {
                $pieces[] = new CutPiece($mark, $length, $counts[$key][$mark]);
            }
            $out[] = [$profile, $pieces, array_keys($elements[$key])];
        }

        return $out;
    }

    /** @param  \Closure(float): string  $say */
    private static function cuts(Bar $bar, \Closure $say): string
    {
        $alike = [];
        foreach ($bar->pieces as [$mark, $length]) {
            $alike[$mark.' '.$say($length)] = ($alike[$mark.' '.$say($length)] ?? 0) + 1;
        }

        return implode(' + ', array_map(
            static fn (string $piece, int $n): string => $n === 1 ? $piece : "$n × $piece",
            array_keys($alike),
            array_values($alike),
        ));
    }
}
