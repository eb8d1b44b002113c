<?php

declare(strict_types=1);

namespace App\Files;

/** What a kept file holds. */
enum Content: string
{
    case Lines = 'lines';
    case Table = 'table';
    case Picture = 'picture';

    /** In words, for whoever asked for another. */
    public function words(): string
    {
        return match ($this) {
            self::Lines => 'the lines of a drawing',
            self::Table => 'a schedule',
            self::Picture => 'a picture',
        };
    }
}
