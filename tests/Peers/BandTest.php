<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Geometry\Moved;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Fins;
use Isleward\Core\Layer\Posed;
use Isleward\Core\Tests\Support\House;

/** Fins and tubes, read by manifold-3d: each is closed and as large as its figures say, and those that stand apart share no volume. */
final class BandTest extends PeerCase
{
    public function test_pieces_are_closed_as_large_as_is_said_and_apart(): void
    {
        $house = House::box();
        $outline = (string) array_key_first($house->design->outlines);
        $law = static fn (float $from, float $to): array => ['kind' => 'wave', 'from' => $from, 'to' => $to, 'waves' => 3];
        $cases = $ours = [];
        foreach (['flat', 'round', 'ellipse', 'drawn'] as $i => $shape) {
            foreach (['standing', 'lying', 'reaching'] as $k => $stand) {
                foreach ([['outline' => $outline], ['rectangle' => ['x' => 30000, 'y' => 0, 'width' => 9000, 'depth' => 6000,
                    'radius' => 2000]]] as $line) {
                    $id = $house->do('band.add', $line + [
                        'storey' => $house->storey(0), 'gap' => 400, 'shape' => $shape, 'stand' => $stand,
                        'profile' => [[0, 0], [1, 0], [0.7, 1], [0.3, 1]],
                        'spaced' => ['by' => 'greatest', 'size' => 900, 'corners' => $k === 0 ? 'on' : 'clear', 'clear' => 500],
                        'laws' => [
                            'thickness' => 60 + 10 * $i, 'reach' => $law(100.0, 380.0), 'length' => $law(150.0, 400.0),
                            'turn' => $law(-40.0, 40.0), 'lean' => $law(-12.0, 20.0),
                        ],
                    ])->chosen[0];
                    $fins = Bands::in($house->design)->of(Bands::band($house->design, $id));
                    [$cases[], $ours["$shape, $stand, ".array_key_first($line)]] = self::pieces($fins);
                }
            }
        }
        $answers = self::ask('runs.mjs', $cases);
        foreach (array_keys($ours) as $i => $which) {
            self::assertSame(['NoError'], $answers[$i]['status'], $which);
            foreach ($ours[$which] as $k => $volume) {
                // ours are exact; their round ones are chords that leave the circle by 0.02
                self::assertEqualsWithDelta($volume, $answers[$i]['volumes'][$k], $volume * 3e-3, "piece $k of $which");
            }
            $sum = array_sum($answers[$i]['volumes']);
            self::assertEqualsWithDelta($sum, $answers[$i]['union'], $sum * 1e-5, "no two share any volume: $which");
        }
    }

    /** @return array{list<array{positions: list<float>, triangles: list<int>}>, list<float>} in space, and the volume of each */
    private static function pieces(Fins $fins): array
    {
        $meshes = $volumes = [];
        foreach (array_keys($fins->n) as $i) {
            $posed = Posed::of($fins, $i);
            [$c, $s] = [cos($fins->angle[$i]), sin($fins->angle[$i])];
            [$x, $y, $foot] = [$fins->x[$i], $fins->y[$i], $fins->foot];
            $mesh = (new Moved($posed->solid(), static fn (float $a, float $u, float $o): array => [
                $x + $a * $c + $o * $s, $y + $a * $s - $o * $c, $foot + $u,
            ]))->mesh(0.02);
            $meshes[] = ['positions' => $mesh->positions, 'triangles' => $mesh->triangles];
            $volumes[] = $posed->volume();
        }

        return [$meshes, $volumes];
    }
}
