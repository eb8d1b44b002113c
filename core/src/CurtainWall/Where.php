<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Which cells a rule is for. */
enum Where: string
{
    case Everywhere = 'everywhere';
    /** rows by their numbers, from the foot */
    case Rows = 'rows';
    /** rows by their numbers in every storey, from its floor */
    case StoreyRows = 'storey-rows';
    /** bays by their numbers, from the left */
    case Bays = 'bays';
    /** cells whose middle lies in a band about every floor */
    case Band = 'band';
    /** every other cell, like a chequer board */
    case Chequer = 'chequer';
    /** every so many bays */
    case EveryBay = 'every-bay';
    /** every so many rows */
    case EveryRow = 'every-row';

    /** Whether it is the same for all cells of a row. */
    public function isByRow(): bool
    {
        return match ($this) {
            self::Everywhere, self::Rows, self::StoreyRows, self::Band, self::EveryRow => true,
            self::Bays, self::Chequer, self::EveryBay => false,
        };
    }
}
