<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** The corners of a drawn section, as shares of its two sizes. */
final class DrawnSection
{
    /**
     * @param  string  $of  what refusals are told by: "band", "field"
     * @return non-empty-list<array{float, float}> as they were given
     *
     * @throws Refusal when they are too few, or cross
     */
    public static function from(Fields $f, string $of): array
    {
        $ring = $profile = [];
        foreach (array_values($f->array('profile')) as $point) {
            $point = is_array($point) && array_is_list($point) && count($point) === 2 ? $point : [null, null];
            $at = new Fields(['x' => $point[0], 'y' => $point[1]]);
            $profile[] = [$x = (float) $at->shareOrNull('x'), $y = (float) $at->shareOrNull('y')];
            array_push($ring, $x, $y);
        }
        if (count($profile) < 3 || count($profile) > 60) {
            throw Refusal::because("$of.profile", sprintf('A drawn section has 3 to 60 corners; %d were given.', count($profile)),
                details: ['field' => 'profile']);
        }
        $contour = Contour::polygon($ring);
        if ($contour->crossesItself() || abs($contour->area()) < 1e-3) {
            throw Refusal::because("$of.profile_crosses", 'The drawn section crosses itself, or holds next to nothing.',
                details: ['field' => 'profile']);
        }

        return $profile;
    }
}
