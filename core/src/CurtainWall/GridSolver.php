<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Refusal;

/**
 * Works a stretch out: lines → {@see Pieces} of members between them → {@see GridMembers} → {@see GridCells} and their infills → what free
 * members make of those ({@see Splitting}). Members, joints and cells together fill the face.
 */
final class GridSolver
{
    /**
     * @param  float  $width  along the face, by arc length where it is curved, mm
     * @param  float  $height  up the face, mm
     * @param  list<float>  $floors  levels of all floors over the foot, also of those under it and over the head, in order
     * @param  list<float>|null  $bays  upright lines that were set out round a whole run; null to set them out here
     *
     * @throws Refusal when rules do not fit, or members leave no room between them
     */
    public static function solve(
        GridRules $rules,
        float $width,
        float $height,
        array $floors = [],
        ?ByHand $byHand = null,
        ?array $bays = null,
        FaceEnds $ends = new FaceEnds,
    ): Grid {
        $byHand ??= ByHand::nothing();
        $of = static fn (Axis $axis): array => array_values(
            array_filter($byHand->lines, static fn (LineChange $c): bool => $c->axis === $axis),
        );
        $between = array_values(array_filter(
            $floors,
            static fn (float $f): bool => $f > Tolerance::LENGTH && $f < $height - Tolerance::LENGTH,
        ));
        $pieces = new Pieces(
            $rules,
            Lines::of($bays ?? $rules->bays->places($width), $width, $of(Axis::Upright), $ends->before, $ends->after),
            Lines::of($rules->rows->up($height, $between), $height, $of(Axis::Level)),
            $ends,
            $byHand->members,
        );
        $made = new GridCells($pieces, $byHand->infills, $floors);
        $notes = self::openUnderDoors($pieces, $made, $byHand->infills);
        $butted = GridMembers::of($pieces);
        $cells = $made->between($butted);
        $members = $rules->mitre && ! $ends->bent ? Mitres::of($butted, $pieces) : $butted;
        $lost = [...$pieces->bays->lost, ...$pieces->rows->lost, ...$pieces->lost, ...$made->lost];

        return Splitting::of(new Grid($width, $height, $pieces->bays, $pieces->rows, $members, $cells, $lost, $notes),
            $byHand->free, $byHand->asKept);
    }

    /**
     * A door over the foot is walked through: no foot member stands under it.
     *
     * @param  list<InfillChange>  $changes
     * @return list<string> what was taken out, as sentences
     */
    private static function openUnderDoors(Pieces $pieces, GridCells $cells, array $changes): array
    {
        $doors = array_filter($pieces->rules->infills, static fn (InfillRule $r): bool => $r->infill->kind === InfillKind::Door);
        $changed = array_filter($changes, static fn (InfillChange $c): bool => $c->infill->kind === InfillKind::Door);
        $notes = [];
        for ($i = 0; $i < $pieces->nx && ($doors !== [] || $changed !== []); $i++) {
            $infill = $cells->infill($i, 0, 1);
            foreach ($changes as $change) {
                if ($change->left === $pieces->bays->names[$i] && $change->foot === Lines::START) {
                    $infill = $change->infill;
                }
            }
            if ($infill->kind === InfillKind::Door && $pieces->openFoot($i)) {
                $notes[] = sprintf('The foot member of bay %d is taken out for the door that stands there.', $i + 1);
            }
        }

        return $notes;
    }
}
