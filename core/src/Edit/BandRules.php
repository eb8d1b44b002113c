<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Layered;
use Isleward\Core\Layer\Band;
use Isleward\Core\Measure\Refusal;

/** What must hold of bands and floor bands, whoever makes or changes them. */
final class BandRules
{
    /** @throws Refusal */
    public static function require(Design $design, Band $band): void
    {
        if ($band->outline !== null) {
            foreach ($band->walls as $wall) {
                if ($design->wall($wall)->outline !== $band->outline) {
                    throw Refusal::because('band.other_outline', 'A band runs along walls of one outline.', [$wall]);
                }
            }
        }
        self::requireLayer($design, $band, $band->finish);
    }

    /** @throws Refusal when its name is taken, or there is no such finish, storey or outline */
    public static function requireLayer(Design $design, Layered $layer, ?string $finish): void
    {
        foreach ($layer->storeys() as $storey) {
            $design->storeys->get($storey);
        }
        if ($layer->outline() !== null) {
            $design->outline($layer->outline());
        }
        foreach ($design->layers as $other) {
            if ($other->id() !== $layer->id() && $other->called() === $layer->called()) {
                throw Refusal::because(
                    'band.name_taken', sprintf('There is a %s already: give this one another name.', $layer->called()), [$other->id()],
                    ['field' => 'name'],
                );
            }
        }
        if ($finish !== null && ! in_array($finish, array_column($design->settings->finishes, 'id'), true)) {
            throw Refusal::because('finish.unknown', 'That finish is not in this project any more.', details: ['field' => 'finish']);
        }
    }

    public static function lastPosition(Design $design): int
    {
        return max([-1, ...array_values(array_map(static fn (Layered $l): int => $l->position(), $design->layers))]);
    }

    /** "Band 3": the next number that is free, from $i on. */
    public static function freeName(Design $design, string $word, int $i = 1): string
    {
        $taken = array_flip(array_map(static fn (Layered $l): string => $l->called(), $design->layers));
        while (isset($taken["$word $i"])) {
            $i++;
        }

        return "$word $i";
    }

    /**
     * @param  list<Layered>  $layers
     * @return list<string>
     */
    public static function ids(array $layers): array
    {
        return array_map(static fn (Layered $l): string => $l->id(), $layers);
    }

    /** @return list<Layered> what follows an outline or stands on a storey that goes */
    public static function on(Design $design, string ...$gone): array
    {
        return array_values(array_filter(
            $design->layers,
            static fn (Layered $l): bool => in_array($l->outline(), $gone, true) || array_intersect($l->storeys(), $gone) !== [],
        ));
    }
}
