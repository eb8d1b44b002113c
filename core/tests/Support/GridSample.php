<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Support;

use Isleward\Core\CurtainWall\Role;

/** Grid types as an edit is given them. */
final class GridSample
{
    /**
     * @param  array<string, mixed>  $rules  in place of what else would be: bays at most 1 500, two rows, members 50 × 150
     * @return array{rules: array<string, mixed>}
     */
    public static function values(array $rules = []): array
    {
        return ['rules' => $rules + [
            'bays' => ['by' => 'greatest', 'size' => 1500],
            'rows' => ['by' => 'count', 'count' => 2],
            'profiles' => array_fill_keys(
                array_column(Role::cases(), 'value'),
                ['shape' => 'rectangle', 'face' => 50, 'depth' => 150],
            ),
            'infills' => [['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6, 16, 6]]]],
        ]];
    }
}
