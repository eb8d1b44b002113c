<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\Posed;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What edits that arrange bands of fins and floor bands have in common: where one lies, and one that lies elsewhere. */
final class ArrangedBands
{
    /**
     * @param  non-empty-list<string>  $ids
     * @return non-empty-list<Band|FloorBand>
     */
    public static function chosen(Design $design, array $ids): array
    {
        return array_map(static function (string $id) use ($design): Band|FloorBand {
            $layer = $design->layers[$id] ?? throw Refusal::because('layer.gone', 'One of them is not in this project any more.', [$id]);

            return $layer instanceof Band || $layer instanceof FloorBand ? $layer : throw Refusal::because('band.no_band', sprintf(
                '%s is no band: what is arranged up and out are bands of fins and floor bands.',
                $layer->called(),
            ), [$id]);
        }, $ids);
    }

    /**
     * So much higher, and so much farther out.
     *
     * @throws Refusal when it would stand behind its line, or its outset follows a law
     */
    public static function moved(Band|FloorBand $band, float $up, float $out): Band|FloorBand
    {
        if ($band instanceof Band) {
            if ($band->gap + $out < 0) {
                throw Refusal::because('band.gap', sprintf(
                    '%s stands %s before its line: it cannot be moved %s inward.',
                    $band->name,
                    Length::mark($band->gap),
                    Length::mark(-$out),
                ), [$band->id], ['field' => 'out']);
            }

            return Band::from(new Fields(['foot' => $band->foot + $up, 'gap' => $band->gap + $out] + $band->toArray()));
        }
        $same = $band->out->same();
        if ($out !== 0.0 && $same === null) {
            throw Refusal::because('floor-band.law', sprintf(
                'How far %s lies out follows a law over the storeys: change that law instead.',
                $band->name,
            ), [$band->id], ['field' => 'out']);
        }

        return FloorBand::from(new Fields(
            ['level' => $band->level + $up] + ($same === null ? [] : ['out' => $same + $out]) + $band->toArray(),
        ));
    }

    /**
     * The levels of its lowest and highest point; of a floor band over several storeys those of its lowest ring. mm
     *
     * @return array{float, float}
     */
    public static function levels(Design $design, Band|FloorBand $band): array
    {
        if ($band instanceof FloorBand) {
            $row = FloorBands::in($design)->of($band)[0];

            return [$row->foot(), $row->top];
        }
        $fins = Bands::in($design)->of($band);
        $alike = $band->pinned === [] && array_filter(
            Quantity::cases(),
            static fn (Quantity $q): bool => $band->law($q)->same() === null,
        ) === [];
        [$low, $high] = [INF, -INF];
        $n = $alike ? min(1, $fins->count()) : $fins->count();
        for ($i = 0; $i < $n; $i++) {
            [$from, $to] = Posed::of($fins, $i)->over(0.0, 1.0, 0.0);
            [$low, $high] = [min($low, $from), max($high, $to)];
        }

        return $n === 0 ? [$fins->foot, $fins->foot] : [$fins->foot + $low, $fins->foot + $high];
    }

    /**
     * @param  list<Operation>  $operations
     * @param  list<string>  $ids  of what is changed or new
     *
     * @throws Refusal when one cannot stand so
     */
    public static function done(Design $design, string $summary, array $operations, array $ids): Change
    {
        $after = $design->after(new Change('', $operations));
        $pieces = 0;
        foreach ($ids as $id) {
            $band = $after->layers[$id];
            $pieces += match (true) {
                $band instanceof Band => Bands::in($after)->of($band)->count(),
                $band instanceof FloorBand => count(FloorBands::in($after)->of($band)),
                default => 0,
            };
        }

        return new Change($summary, $operations, $ids, wanted: $pieces);
    }

    public static function called(Band|FloorBand ...$bands): string
    {
        return count($bands) === 1 ? $bands[0]->name : Words::counts(['band' => count($bands)]);
    }
}
