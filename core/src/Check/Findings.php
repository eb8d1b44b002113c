<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;

/** Every rule over a wall. */
final class Findings
{
    /**
     * @param  array<string, mixed>|null  $about  only findings about these openings, their ids as keys; null for all
     * @return list<Finding>
     */
    public static function of(Design $design, Body $body, ?array $about = null): array
    {
        $wall = WallInQuestion::of($design, $body, $about);
        $findings = [];
        foreach (Contributors::to(Rule::class) as $rule) {
            foreach ($rule->check($wall) as $finding) {
                if ($about === null || array_intersect_key(array_flip($finding->elements), $about) !== []) {
                    $findings[] = $finding;
                }
            }
        }

        return $findings;
    }
}
