<?php

declare(strict_types=1);

namespace App\Tasks;

/** More is waiting already than one person, or one project, may have waiting. */
final class TooMany extends \RuntimeException
{
    public static function ofPerson(int $most): self
    {
        return new self(sprintf('%d things that you asked for are still being made. Wait for one of them, or stop it.', $most));
    }

    public static function ofProject(int $most): self
    {
        return new self(sprintf(
            '%d things are being made for this project already, so that other projects have their turn too. Try again when one is done.',
            $most,
        ));
    }
}
