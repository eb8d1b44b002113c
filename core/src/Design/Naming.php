<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** That an element names another, and how. */
final readonly class Naming
{
    /** @param  string  $to  id of the element that is named */
    public function __construct(public string $to, public Tie $how)
    {
    }

    /**
     * Those that name something, each once.
     *
     * @return list<self>
     */
    public static function of(Tie $how, ?string ...$ids): array
    {
        $named = [];
        foreach ($ids as $id) {
            if ($id !== null && $id !== '') {
                $named[$id] ??= new self($id, $how);
            }
        }

        return array_values($named);
    }
}
