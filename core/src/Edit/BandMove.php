<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Measure\Refusal;

/**
 * Moves bands and floor bands "up" by so much and farther "out"; or brings their "level" (feet, middles or heads) to that of the band that
 * is named "to".
 */
final readonly class BandMove implements Edit
{
    use OnBands;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $bands = ArrangedBands::chosen($design, $this->ids);
        if ($args->has('level')) {
            return $this->aligned($design, $bands);
        }
        [$up, $out] = [$args->has('up') ? $args->length('up') : 0.0, $args->has('out') ? $args->length('out') : 0.0];
        if ($up === 0.0 && $out === 0.0) {
            throw Refusal::because('band.move_nowhere', 'Say how far up or out they are moved.', details: ['field' => 'up']);
        }
        $operations = array_map(
            static fn (Band|FloorBand $b): Operation => Operation::alter($b, ArrangedBands::moved($b, $up, $out)),
            $bands,
        );

        return ArrangedBands::done($design, sprintf('Moved %s', ArrangedBands::called(...$bands)), $operations, $this->ids);
    }

    /** @param  non-empty-list<Band|FloorBand>  $bands */
    private function aligned(Design $design, array $bands): Change
    {
        $args = $this->args;
        $level = $args->choice('level', BandLevel::class);
        $to = $args->string('to');
        $anchor = null;
        foreach ($bands as $band) {
            $anchor = $band->id === $to ? $band : $anchor;
        }
        if ($anchor === null || count($bands) < 2) {
            throw Refusal::because('band.align_to', 'Choose two bands or more, one of them the one whose level the others are brought to.');
        }
        $at = $level->of(ArrangedBands::levels($design, $anchor));
        $operations = $moved = [];
        foreach ($bands as $band) {
            $by = $at - $level->of(ArrangedBands::levels($design, $band));
            if (abs($by) > 1e-6) {
                $operations[] = Operation::alter($band, ArrangedBands::moved($band, $by, 0.0));
                $moved[] = $band;
            }
        }
        if ($moved === []) {
            throw Refusal::because('band.aligned', sprintf('Their %s lie at one level already.', $level->value));
        }

        return ArrangedBands::done(
            $design,
            sprintf('Brought the %s of %s to %s', $level->value, ArrangedBands::called(...$moved), $anchor->name),
            $operations,
            $this->ids,
        );
    }
}
