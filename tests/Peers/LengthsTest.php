<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Measure\Area;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use Isleward\Core\Measure\Volume;

/** The interface writes lengths and areas as the core does: one rule, told twice, held together. */
final class LengthsTest extends PeerCase
{
    public function test_the_interface_writes_every_length_as_the_core_does(): void
    {
        mt_srand(1609);
        $cases = $ours = [];
        foreach (Units::cases() as $units) {
            $lengths = [
                0.0,
                -0.0,
                0.04,
                0.05,
                0.06,
                -0.04,
                0.1,
                0.94,
                0.95,
                0.96,
                1.0,
                9.99,
                25.4,
                304.8,
                609.6,
                999.94,
                999.96,
                1000.0,
                1234567.8,
                -1200.0,
                1.5875,
                12.7,
            ];
            for ($i = 0; $i < 400; $i++) {
                $lengths[] = match ($i % 4) {
                    0 => (float) mt_rand(-20000, 200000),
                    1 => mt_rand(-20000, 200000) / 10,
                    2 => mt_rand(0, 20000) * 25.4 / 16,
                    default => mt_rand(-20000, 200000) / 7,
                };
            }
            foreach ($lengths as $mm) {
                $mm2 = abs($mm) * 1234.5;
                $mm3 = $mm2 * 765.4;
                $cases[] = ['mm' => $mm, 'mm2' => $mm2, 'mm3' => $mm3, 'units' => $units->value];
                $ours[] = [
                    'length' => Length::format($mm, $units), 'area' => Area::format($mm2, $units), 'volume' => Volume::format($mm3, $units),
                ];
            }
        }
        foreach (self::ask('lengths.mjs', $cases) as $i => $theirs) {
            self::assertSame($ours[$i], $theirs, json_encode($cases[$i], JSON_THROW_ON_ERROR));
        }
    }
}
