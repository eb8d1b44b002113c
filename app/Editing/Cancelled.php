<?php

declare(strict_types=1);

namespace App\Editing;

/** Someone has asked a task to stop; nothing of it stays. */
final class Cancelled extends \RuntimeException
{
}
