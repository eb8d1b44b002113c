<?php

declare(strict_types=1);

namespace App\Editing;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * The key that a client gives each edit, "WINDOW.COUNTER": its own name for what it asks for. Asked for again under the same key it is not
 * done a second time, but answered with what became of it. Edits of one window know of each other, so that they do not count as someone
 * else's meanwhile.
 */
final readonly class Key
{
    private function __construct(public string $text, public ?string $window)
    {
    }

    /** Null when the client gave none. */
    public static function of(Fields $body): ?self
    {
        $text = $body->stringOrNull('key');
        if ($text === null) {
            return null;
        }
        if (preg_match('/^([A-Za-z0-9]{8,24})\.\d{1,9}$/D', $text, $m) !== 1) {
            throw Refusal::because(
                'edit.key',
                'The key of an edit is 8 to 24 letters and digits for the window, a point and a number.',
                details: ['field' => 'key'],
            );
        }

        return new self($text, $m[1]);
    }

    /** Of a task whose client gave none. */
    public static function ofTask(string $id): self
    {
        return new self('task.'.$id, null);
    }

    /** As it was written down. */
    public static function written(string $text): self
    {
        $window = str_starts_with($text, 'task.') ? false : strstr($text, '.', true);

        return new self($text, $window === false ? null : $window);
    }
}
