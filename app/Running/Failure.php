<?php

declare(strict_types=1);

namespace App\Running;

/** Something that Isleward needs in order to run did not work; the message says which, and where its log is. */
final class Failure extends \RuntimeException
{
}
