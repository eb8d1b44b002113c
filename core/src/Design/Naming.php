<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Refusal;

/** That an element names another, and how. */
final readonly class Naming
{
    /** No id is longer. */
    private const LONGEST = 60;

    /** @param  string  $to  id of the element that is named */
    public function __construct(public string $to, public Tie $how)
    {
    }

    /**
     * Those that name something, each once.
     *
     * @return list<self>
     *
     * @throws Refusal when it can be the name of nothing
     */
    public static function of(Tie $how, ?string ...$ids): array
    {
        $named = [];
        foreach ($ids as $id) {
            if ($id !== null && strlen($id) > self::LONGEST) {
                throw Refusal::because('naming.too_long', sprintf('There is nothing called “%s…”.', mb_substr($id, 0, 20)));
            }
            if ($id !== null && $id !== '') {
                $named[$id] ??= new self($id, $how);
            }
        }

        return array_values($named);
    }
}
