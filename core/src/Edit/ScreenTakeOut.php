<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\Screens;

/** Takes pieces and cut-outs of a screen out again, as if they had never been drawn. */
final readonly class ScreenTakeOut implements Edit
{
    use OnScreens;

    public function apply(Design $design, Ids $ids): Change
    {
        $screen = Screens::screen($design, $this->args->string('id'));
        $gone = ScreenRules::chosen($screen, $this->args->counts('parts'));
        $numbers = array_map(static fn (ScreenPart $p): int => $p->n, $gone);
        $after = $screen->withParts(array_values(array_filter(
            $screen->parts,
            static fn (ScreenPart $p): bool => ! in_array($p->n, $numbers, true),
        )));

        return ScreenRules::change($design, $screen, $after, sprintf('Took %s out of %s', ScreenRules::words(...$gone), $after->name));
    }
}
