<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Arrange\Spacing;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Spaces bands and floor bands upward, by equal "gaps" or "centres": between the lowest and the highest of them, or with "ends" between the
 * floor of the lowest storey they stand on and the head of the highest.
 */
final readonly class BandSpace implements Edit
{
    use OnBands;

    public function apply(Design $design, Ids $ids): Change
    {
        $bands = ArrangedBands::chosen($design, $this->ids);
        $ends = $this->args->bool('ends');
        if (count($bands) < ($ends ? 1 : 3)) {
            throw Refusal::because(
                'band.space_few',
                'Between the lowest and the highest at least one more is spaced: choose three or more, or space them over their storeys.',
            );
        }
        $boxes = array_map(static fn (object $b): array => [$b, ...ArrangedBands::levels($design, $b)], $bands);
        usort($boxes, static fn (array $a, array $b): int => $a[1] + $a[2] <=> $b[1] + $b[2]);
        [$from, $to] = [$boxes[0][1], $boxes[count($boxes) - 1][2]];
        if ($ends) {
            $floors = array_map(static fn (object $b): float => $design->storeys->floor($b->storey), $bands);
            $heads = array_map(
                static fn (object $b): float => $design->storeys->floor($b->storey) + $design->storeys->get($b->storey)->height,
                $bands,
            );
            [$from, $to] = [min($floors), max($heads)];
        }
        $heights = array_map(static fn (array $b): float => $b[2] - $b[1], $boxes);
        $gaps = $this->args->string('by') === 'gaps';
        $spacing = $gaps ? Spacing::equalGaps($heights, $from, $to, $ends) : Spacing::equalCentres($heights, $from, $to, $ends);
        if ($gaps && $spacing->gap < -1e-6) {
            throw Refusal::because('band.space_room', sprintf(
                'They are %s high together; there are %s for them.', Length::mark(array_sum($heights)), Length::mark($to - $from),
            ));
        }
        $operations = [];
        foreach ($boxes as $i => [$band, $start]) {
            $by = $spacing->starts[$i] - $start;
            if (abs($by) > 1e-6) {
                $operations[] = Operation::alter($band, ArrangedBands::moved($band, $by, 0.0));
            }
        }
        if ($operations === []) {
            throw Refusal::because('band.spaced', 'They are spaced so already.');
        }

        return ArrangedBands::done($design, sprintf('Spaced %s', ArrangedBands::called(...$bands)), $operations, $this->ids);
    }
}
