<?php

declare(strict_types=1);

namespace App\Tasks;

/** What runs side by side: long edits, and files in the making. Each has a worker of its own. */
enum Lane: string
{
    case Edits = 'edits';
    case Files = 'files';
}
