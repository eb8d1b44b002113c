<?php

declare(strict_types=1);

namespace App\Assembly;

/** A model whose rows are elements of a design. */
interface HoldsElement
{
    public static function elements(): ElementTable;
}
