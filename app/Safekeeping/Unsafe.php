<?php

declare(strict_types=1);

namespace App\Safekeeping;

/** A backup that could not be made, or one that could not be put back: why, in a sentence; nothing was changed. */
final class Unsafe extends \RuntimeException
{
}
