<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

/** What an edit does to a design: a sentence for people, and the elements before and after. */
final readonly class Change
{
    /** @var list<Operation> */
    public array $operations;

    /**
     * @param  list<Operation>  $operations  those that change nothing are left out
     * @param  list<string>  $chosen  ids to be chosen when it is done
     */
    public function __construct(public string $summary, array $operations, public array $chosen = [])
    {
        $this->operations = array_values(array_filter($operations, static fn (Operation $o): bool => ! $o->changesNothing()));
    }

    public function isEmpty(): bool
    {
        return $this->operations === [];
    }

    public function inverse(string $summary): self
    {
        $operations = array_map(static fn (Operation $o): Operation => $o->inverse(), array_reverse($this->operations));
        $alive = array_values(array_filter($operations, static fn (Operation $o): bool => $o->after !== null));

        return new self($summary, $operations, array_map(static fn (Operation $o): string => $o->id, $alive));
    }

    /** @return list<string> ids of the elements it touches */
    public function touched(): array
    {
        return array_map(static fn (Operation $o): string => $o->id, $this->operations);
    }
}
