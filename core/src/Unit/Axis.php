<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** Whether a division's parts stand side by side (with mullions between) or lie over each other, the lowest first (with transoms). */
enum Axis: string
{
    case Columns = 'columns';
    case Rows = 'rows';
}
