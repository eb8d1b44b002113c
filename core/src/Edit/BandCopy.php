<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Copies bands and floor bands "times" on, each "up" higher and "out" farther than the one before; the laws of fins shifted on by a share
 * of the run more each time ("shift", %).
 */
final readonly class BandCopy implements Edit
{
    use OnBands;

    private const MOST = 200;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $bands = ArrangedBands::chosen($design, $this->ids);
        $times = $args->has('times') ? $args->count('times', 'How often they are copied', 1, self::MOST) : 1;
        [$up, $out] = [$args->has('up') ? $args->length('up') : 0.0, $args->has('out') ? $args->length('out') : 0.0];
        if (hypot($up, $out) < 0.1) {
            throw Refusal::because('band.copy_on_itself', 'A copy would lie on what it is a copy of: say how much higher or farther out.',
                details: ['field' => 'up']);
        }
        if ($times * count($bands) > self::MOST) {
            throw Refusal::because('band.copies', sprintf(
                'That would be %d bands more; %d at a time are the most.', $times * count($bands), self::MOST,
            ), details: ['field' => 'times']);
        }
        $shift = $args->has('shift') ? $args->number('shift') : 0.0;
        $position = BandRules::lastPosition($design);
        $operations = $made = [];
        $then = $design;
        for ($k = 1; $k <= $times; $k++) {
            foreach ($bands as $band) {
                $copy = ArrangedBands::moved($band, $k * $up, $k * $out);
                $copy = $copy instanceof Band ? self::driven($copy, $k * $shift) : $copy;
                $name = BandRules::freeName($then, (string) preg_replace('/ \d+$/', '', $band->name), 2);
                $values = ['id' => $made[] = $ids->next($band->kind()), 'name' => $name, 'position' => ++$position] + $copy->toArray();
                $operations[] = $more = Operation::add(
                    $copy instanceof Band ? Band::from(new Fields($values)) : FloorBand::from(new Fields($values)),
                );
                $then = $then->after(new Change('', [$more]));
            }
        }

        return ArrangedBands::done(
            $design, sprintf('Copied %s %s', ArrangedBands::called(...$bands), $times === 1 ? 'once' : "$times times"), $operations, $made,
        );
    }

    private static function driven(Band $band, float $shift): Band
    {
        foreach ($shift === 0.0 ? [] : Quantity::cases() as $quantity) {
            $band = $band->withLaw($quantity, $band->law($quantity)->carried($shift, false, 1.0));
        }

        return $band;
    }
}
