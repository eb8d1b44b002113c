<?php

declare(strict_types=1);

namespace App\Running;

/** Isleward was asked to end. */
final class Asked extends \RuntimeException
{
}
