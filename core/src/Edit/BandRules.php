<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Layered;
use Isleward\Core\Layer\Band;
use Isleward\Core\Measure\Refusal;

/** What must hold of a band, whoever makes or changes it. */
final class BandRules
{
    /** @throws Refusal */
    public static function require(Design $design, Band $band): void
    {
        $design->storeys->get($band->storey);
        if ($band->outline !== null) {
            $design->outline($band->outline);
            foreach ($band->walls as $wall) {
                if ($design->wall($wall)->outline !== $band->outline) {
                    throw Refusal::because('band.other_outline', 'A band runs along walls of one outline.', [$wall]);
                }
            }
        }
        foreach ($design->layers as $other) {
            if ($other->id() !== $band->id && $other->called() === $band->name) {
                throw Refusal::because(
                    'band.name_taken', sprintf('There is a %s already: give this one another name.', $band->name), [$other->id()],
                    ['field' => 'name'],
                );
            }
        }
        if ($band->finish !== null && ! in_array($band->finish, array_column($design->settings->finishes, 'id'), true)) {
            throw Refusal::because('finish.unknown', 'That finish is not in this project any more.', details: ['field' => 'finish']);
        }
    }

    public static function lastPosition(Design $design): int
    {
        return max([-1, ...array_values(array_map(static fn (Layered $l): int => $l->position(), $design->layers))]);
    }

    /** "Band 3": the next number that is free. */
    public static function freeName(Design $design, string $word): string
    {
        $taken = array_flip(array_map(static fn (Layered $l): string => $l->called(), $design->layers));
        $i = 1;
        while (isset($taken["$word $i"])) {
            $i++;
        }

        return "$word $i";
    }

    /** @return list<Layered> what follows an outline or stands on a storey that goes */
    public static function on(Design $design, string ...$gone): array
    {
        return array_values(array_filter(
            $design->layers,
            static fn (Layered $l): bool => in_array($l->outline(), $gone, true) || in_array($l->storey(), $gone, true),
        ));
    }
}
