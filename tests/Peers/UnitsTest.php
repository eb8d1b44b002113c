<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Design\Settings;
use Isleward\Core\Exchange\TypesJson;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Units as Measure;
use Isleward\Core\Scene\Piece;
use Isleward\Core\Scene\UnitPieces;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\UnitSheet;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Stock;

/** Units, their solids, documents and sheets held against libraries that are not ours. */
final class UnitsTest extends PeerCase
{
    /** Lights, frame and dividers of random units are the outline to polygon-clipping too, and lie on none of each other. */
    public function test_regions_tile_the_outline(): void
    {
        mt_srand(5150);
        $cases = $sums = [];
        for ($i = 0; $i < 250; $i++) {
            $unit = Units::random();
            $pieces = [
                ...array_map(static fn ($l): Contour => $l->contour, $unit->lights),
                ...array_map(static fn ($m): Contour => $m->contour, $unit->members),
            ];
            $cases[] = ['outline' => self::onGrid($unit->outline), 'pieces' => array_map(self::onGrid(...), $pieces)];
            $sums[] = array_sum(array_map(static fn (Contour $c): float => $c->area(), $pieces));
        }
        foreach (self::ask('units.mjs', $cases) as $i => $theirs) {
            // chords that leave arcs by 0.01 mm: 0.01 mm × 20 m of edges
            self::assertIsArray($theirs['each']);
            self::assertEqualsWithDelta($sums[$i], $theirs['union'], 250.0, "unit $i");
            self::assertEqualsWithDelta(array_sum($theirs['each']), $theirs['union'], 60.0, "unit $i: pieces lie beside each other");
            self::assertLessThan(200.0, $theirs['beyond'] + $theirs['missing'], "unit $i");
        }
    }

    /** Every part is closed and shut units have no two parts in one place: the volumes add up to that of their union, to a thousandth. */
    public function test_parts_are_closed_solids_that_do_not_overlap(): void
    {
        mt_srand(77);
        $units = array_map(
            static fn (array $t): SolvedUnit => Units::solve(Units::stock((string) $t['mark']), (float) $t['width'], (float) $t['height']),
            Stock::types(),
        );
        for ($i = 0; $i < 60; $i++) {
            $units[] = Units::random(true);
        }
        $settings = Settings::create('pr-1', 'Peers', Measure::Millimetre);
        $solids = static fn (SolvedUnit $u, float $ajar): array => [
            'solids' => array_map(
                static function (Piece $p): array {
                    $mesh = $p->solid->mesh($p->sagitta);

                    return ['positions' => $mesh->positions, 'triangles' => $mesh->triangles];
                },
                UnitPieces::of($u, $settings, 90.0, true, 300.0, $ajar),
            ),
        ];
        $cases = array_map(static fn (SolvedUnit $u): array => $solids($u, 0.0), $units);
        foreach (Stock::types() as $i => $type) {
            array_push($cases, $solids($units[$i], 0.25), $solids($units[$i], 1.0));
        }
        foreach (self::ask('units.mjs', $cases) as $i => $theirs) {
            self::assertSame(['NoError'], $theirs['states'], "unit $i");
            self::assertIsNumeric($theirs['union']);
            self::assertIsNumeric($theirs['sum']);
            self::assertGreaterThan(0, $theirs['union']);
            // leaves have no clearance here, so one that has begun to turn grazes what it shut against
            self::assertEqualsWithDelta(1.0, $theirs['sum'] / $theirs['union'], $i < count($units) ? 1e-3 : 3e-3, "unit $i");
        }
    }

    /** What we write is valid to ajv by the published schema; what it finds wrong we refuse too. */
    public function test_documents_of_unit_types_keep_to_the_published_schema(): void
    {
        $house = House::box();
        $written = json_decode(TypesJson::write($house->design->settings, $house->design->types), true, 64, JSON_THROW_ON_ERROR);
        self::assertIsArray($written);
        self::assertIsArray($written['types']);
        $mutate = static function (\Closure $change) use ($written): array {
            $copy = $written;
            $change($copy);

            return $copy;
        };
        $wrong = [
            'foreign' => ['type' => 'FeatureCollection', 'features' => []],
            'version' => $mutate(static function (array &$d): void {
                $d['version'] = 2;
            }),
            'no frame' => $mutate(static function (array &$d): void {
                unset($d['types'][0]['tree']['frame']);
            }),
            'unknown operation' => $mutate(static function (array &$d): void {
                $d['types'][0]['tree']['root'] = ['operation' => 'revolving', 'glass' => 6];
            }),
            'a reference instead of a node' => $mutate(static function (array &$d): void {
                $d['types'][0]['tree']['root'] = [
                    'axis' => 'rows',
                    'face' => 50,
                    'parts' => [['node' => ['$ref' => '#']], ['node' => ['$ref' => '#']]],
                ];
            }),
            'one part only' => $mutate(static function (array &$d): void {
                $d['types'][0]['tree']['root'] = [
                    'axis' => 'rows',
                    'face' => 50,
                    'parts' => [['node' => ['operation' => 'fixed', 'glass' => 6]]],
                ];
            }),
        ];
        $answers = self::ask('schema.mjs', [$written, ...array_values($wrong)]);
        self::assertSame([], $answers[0]);
        foreach (array_keys($wrong) as $i => $name) {
            self::assertNotSame([], $answers[$i + 1], $name);
            self::assertTrue($house->refuses('type.import', ['document' => $wrong[$name]]), $name);
        }
    }

    /** A sheet as PDF, read back by poppler: the size of its paper, its text as text, true to scale. */
    public function test_a_sheet_as_pdf_has_its_papers_size_and_its_text(): void
    {
        $house = House::box();
        $pages = UnitSheet::pages($house->type('D-18'), $house->design->settings, ['Quay' => 3], Paper::A3, '25 November 2026');
        $folder = sys_get_temp_dir().'/isleward-sheet-'.getmypid();
        @mkdir($folder);
        foreach ($pages as $i => $svg) {
            file_put_contents("$folder/$i.svg", $svg);
        }
        exec(
            sprintf(
                'rsvg-convert --format=pdf --output=%1$s/all.pdf %1$s/*.svg 2>&1 && pdfinfo %1$s/all.pdf && pdftotext -layout %1$s/all.pdf -',
                escapeshellarg($folder),
            ),
            $lines,
            $code,
        );
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
        $text = (string) preg_replace('/\s+/u', ' ', implode("\n", $lines));
        self::assertSame(0, $code, $text);
        self::assertStringContainsString('Pages: '.count($pages), $text);
        // 420 × 297 mm at 72 points to the inch
        self::assertStringContainsString('Page size: 1190.55 x 841.89 pts (A3)', $text);
        foreach ([
            'D-18 front under a rising head',
            '1:25',
            '3 900 × 3 270',
            'hinged door, right, inward',
            'Deep tide, satin',
            '15.64°',
            '25 November 2026',
        ] as $there) {
            self::assertStringContainsString($there, $text);
        }
        // at 1:25 an elevation 3900 wide is 156 mm on paper: its drawing is scaled by 1/25 and nothing else
        self::assertMatchesRegularExpression('/<g transform="translate\([\d. ]+\) scale\(0\.04\)"/', $pages[0]);
    }

    /**
     * @return list<float> chords that leave curves by 0.01 mm, on a grid of 0.001 mm: polygon-clipping loses its way among corners closer
     *    than that
     */
    private static function onGrid(Contour $contour): array
    {
        return array_map(static fn (float $v): float => round($v, 3), $contour->ring(0.01));
    }
}
