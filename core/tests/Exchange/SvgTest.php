<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Exchange;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Exchange\Svg;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class SvgTest extends TestCase
{
    public function test_the_elevation_is_true_to_scale_on_named_layers(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $opening = $house->place(['left' => 1450, 'type' => $house->type('W-03')->id]);
        $bodies = Bodies::of($house->design);
        $drawing = Elevation::developed($house->design, $bodies, Frontages::of($house->design, $bodies));
        foreach ([1.0, 50.0] as $scale) {
            $svg = simplexml_load_string(Svg::write($drawing, $scale));
            self::assertNotFalse($svg);
            $view = array_map(floatval(...), explode(' ', (string) $svg['viewBox']));
            self::assertEqualsWithDelta($view[2], (float) $svg['width'] * $scale, 1e-3, 'a unit is a mm of the building');
            $svg->registerXPathNamespace('s', 'http://www.w3.org/2000/svg');
            $faces = $svg->xpath('//s:g[@id="layer-wall-face"]/s:path') ?: [];
            self::assertCount(4, $faces);
            self::assertSame('M0 0L12000 0L12000 -3600L0 -3600Z', (string) $faces[0]['d']);
            $use = ($svg->xpath('//s:g[@id="layer-openings"]/s:use') ?: [])[0];
            self::assertSame([$opening->id, '1450', '-900'], [(string) $use['id'], (string) $use['x'], (string) $use['y']]);
        }
    }
}
