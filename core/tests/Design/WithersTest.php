<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Design;

use Isleward\Core\Design\Along;
use Isleward\Core\Design\Bend;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Jamb;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Design\Storey;
use Isleward\Core\Design\Tracing;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Changed by a wither an element is what it is when the changed values are read: nothing else moves, nothing is left unsettled. */
final class WithersTest extends TestCase
{
    public function test_an_opening(): void
    {
        $house = House::box();
        $opening = $house->place(['left' => 2000, 'type' => $house->type('W-03')->id, 'mirrored' => true]);
        $position = PositionRule::of(Along::of(Reference::Middle, -120.5), Jamb::Centre);
        $sill = SillRule::of(SillDatum::Datum, 1234.5);
        self::same(['id' => 'op-x'], $opening, $opening->withId('op-x'));
        self::same(['host' => 'wa-x'], $opening, $opening->withHost('wa-x'));
        self::same(['storey' => 'st-x'], $opening, $opening->withStorey('st-x'));
        self::same(['type' => null], $opening, $opening->withType(null));
        self::same(['width' => 900.5, 'height' => 77.0], $opening, $opening->withSize(900.5, 77.0));
        self::same(['height' => 77.0], $opening, $opening->withHeight(77.0));
        self::same(['position' => $position->toArray()], $opening, $opening->withPosition($position));
        self::same(['sill' => $sill->toArray()], $opening, $opening->withSill($sill));
        self::same(['mirrored' => false], $opening, $opening->withHanding(false));
        self::same(['mark' => ' A.1 '], $opening, $opening->withMark(' A.1 '));
        self::assertNull($opening->withMark('  ')->mark, 'a blank mark is none');
        $other = $opening->withSize(600.0, 700.0)->withHanding(false);
        self::same(['width' => 600.0, 'mirrored' => false], $opening, $opening->taking($other, ['width', 'mirrored']));
        try {
            $opening->withMark(str_repeat('x', 25));
            self::fail('It is too long.');
        } catch (Refusal $refusal) {
            self::assertSame('opening.mark', $refusal->reason);
        }
    }

    public function test_a_wall_a_line_a_storey_and_a_unit_type(): void
    {
        $house = House::box();
        $wall = $house->wall();
        self::same(
            ['fromX' => 1.0, 'fromY' => 2.0, 'toX' => 9001.0, 'toY' => 2.0, 'rise' => 750.0],
            $wall,
            $wall->withFace(new Vec2(1, 2), new Vec2(9001, 2), 750.0),
        );
        self::same(['id' => 'wa-x'], $wall, $wall->withId('wa-x'));
        self::same(['outline' => 'ou-x'], $wall, $wall->withOutline('ou-x'));
        self::same(['position' => 3], $wall, $wall->withPosition(3));
        self::same(['keeps' => 'angle'], $wall, $wall->withKeeps(Bend::Angle));
        self::same(['base' => 'st-x'], $wall, $wall->withBase('st-x'));
        self::same(['top' => 'st-x'], $wall, $wall->withTop('st-x'));
        $added = $house->do('line.add', ['host' => $wall->id, 'axis' => 'upright', 'rule' => ['from' => 'left', 'value' => 900]]);
        $line = $house->design->line($added->chosen[0]);
        $along = Along::of(Reference::Right, 650.0);
        self::same(['host' => 'wa-x'], $line, $line->withHost('wa-x'));
        self::same(['rule' => $along->toArray()], $line, $line->withRule($along));
        $storey = $house->design->storeys->all[0];
        self::same(['position' => 5], $storey, $storey->withPosition(5));
        $type = $house->type('W-03');
        self::same(['mark' => 'X-1'], $type, $type->withMark('X-1'));
        self::same(['name' => 'another'], $type, $type->withName('another'));
        self::same(['width' => 1300.0, 'height' => 1500.0], $type, $type->withSize(1300.0, 1500.0));
        self::same(['id' => 'ty-x', 'mark' => 'X-2', 'position' => 40], $type, $type->another('ty-x', 'X-2', 40));
        self::assertSame($type->treeHash, $type->another('ty-x', 'X-2', 40)->treeHash, 'made alike');
    }

    public function test_a_tracing_is_turned_within_a_turn_and_refuses_scales_that_no_site_has(): void
    {
        $tracing = Tracing::from(new Fields([
            'id' => 'tr-1', 'name' => 'Quay', 'storeys' => ['st-1'], 'file' => md5('x').'.png', 'width' => 800, 'height' => 600, 'x' => 0,
            'y' => 0, 'scale' => 12.5,
        ]));
        foreach ([[0.0, 0.0], [370.0, 10.0], [-90.0, 270.0], [268.11811725581697, 268.11811725581697]] as [$given, $angle]) {
            $placed = $tracing->withPlace(4.0, -5.0, $given, 20.0);
            self::assertEqualsWithDelta($angle, $placed->angle, 1e-12);
            self::assertSame($placed->toArray(), Tracing::from(new Fields($placed->toArray()))->toArray(), 'read again it stays so');
        }
        foreach ([1e-9, 1e9] as $scale) {
            try {
                $tracing->withPlace(0.0, 0.0, 0.0, $scale);
                self::fail('It is no scale.');
            } catch (Refusal $refusal) {
                self::assertSame('tracing.scale', $refusal->reason);
            }
        }
    }

    /** @param  array<string, mixed>  $values */
    private static function same(array $values, Element $before, Element $after): void
    {
        $fields = new Fields([...$before->toArray(), ...$values]);
        $read = match (true) {
            $before instanceof Opening => Opening::from($fields),
            $before instanceof Wall => Wall::from($fields),
            $before instanceof SettingOutLine => SettingOutLine::from($fields),
            $before instanceof Storey => Storey::from($fields),
            default => UnitType::from($fields),
        };
        self::assertSame($read->toArray(), $after->toArray(), implode(', ', array_keys($values)));
        self::assertEquals($read, $after);
        self::assertNotSame($before->toArray(), $after->toArray());
    }
}
