<?php

declare(strict_types=1);

namespace App\Editing;

use Isleward\Core\Measure\Refusal;

/** Someone else's change is being written, so this one has to wait; nothing of it was done yet. */
final class Busy extends Refusal
{
    /** @param  array{who: string, what: string, done: int, total: int}|null  $holder */
    public static function with(?array $holder): self
    {
        $far = $holder === null || $holder['total'] === 0 ? '' : sprintf(', %d of %d written', $holder['done'], $holder['total']);
        $sentence = $holder === null ? 'Another change of this project is just being written; yours waits for it.'
            : sprintf('%s’s change is just being written (“%s”%s); yours waits for it.', $holder['who'], $holder['what'], $far);

        return new self('project.busy', $sentence, [], $holder ?? []);
    }
}
