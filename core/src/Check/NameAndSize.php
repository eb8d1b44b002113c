<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Design\TypeName;

/** A unit whose type's name states another size than it has. */
final class NameAndSize implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $stated = [];
        foreach ($wall->asked as $p) {
            if ($p->opening->type === null) {
                continue;
            }
            $type = $wall->design->type($p->opening->type);
            $size = $stated[$type->id] ??= TypeName::size($type->name) ?? [];
            if ($size === []) {
                continue;
            }
            $off = max(abs($p->opening->width - $size[0]), abs($p->opening->height - $size[1]));
            // names are written in whole millimetres
            if ($off > 0.5) {
                $findings[] = $wall->finding('type.name_and_size', $p, $off, sprintf('is %s × %s, and its type’s name says %s × %s',
                    $wall->say($p->opening->width), $wall->say($p->opening->height), $wall->say($size[0]), $wall->say($size[1])),
                    new Remedy(
                        'Make it the size its name says',
                        'opening.change',
                        ['id' => $p->opening->id, 'width' => $size[0], 'height' => $size[1]],
                    ));
            }
        }

        return $findings;
    }
}
