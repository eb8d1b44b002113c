<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Change;
use App\Models\User;
use Isleward\Core\Measure\Refusal;

/** Someone changed the same thing after the client last looked. */
final class Conflict extends Refusal
{
    /** @param  list<string>  $elements */
    public static function with(Change $change, User $user, array $elements): self
    {
        $who = $change->user_id === $user->id
                    ? 'You changed this in another window'
                    : sprintf('%s changed this', $change->user->name ?? 'Someone');

        return new self(
            'edit.conflict',
            sprintf('%s meanwhile (“%s”). What you typed is kept; look at it and send it again.', $who, $change->summary),
            $elements,
            ['number' => $change->number],
        );
    }

    public static function fromTheFuture(int $base, int $number): self
    {
        return new self(
            'edit.base_unknown',
            sprintf('This edit refers to change %d and the project is at %d: load it again.', $base, $number),
        );
    }
}
