<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Refusal;

/** What an edit does to a design: a sentence for people, and the elements before and after. */
final readonly class Change
{
    /** @var list<Operation> */
    public array $operations;

    /**
     * @param  list<Operation>  $operations  those that change nothing are left out
     * @param  list<string>  $chosen  ids to be chosen when it is done
     * @param  list<Misfit>  $misfits  what was asked for and would not fit
     * @param  list<string>  $notes  what is to be said before it is done
     * @param  bool  $fittingOnly  it may be done without its misfits
     * @param  int  $wanted  how many openings were asked for, when it is one of many
     */
    public function __construct(
        public string $summary,
        array $operations,
        public array $chosen = [],
        public array $misfits = [],
        public array $notes = [],
        public bool $fittingOnly = false,
        public int $wanted = 0,
    ) {
        $this->operations = array_values(array_filter($operations, static fn (Operation $o): bool => ! $o->changesNothing()));
    }

    public function isEmpty(): bool
    {
        return $this->operations === [];
    }

    /**
     * Holds when it may be done: nothing is left out, or it was asked to leave out what does not fit and something does.
     *
     * @throws Refusal naming what would not fit
     */
    public function requireDoable(): void
    {
        $count = count($this->misfits);
        if ($count === 0 || ($this->fittingOnly && $this->operations !== [])) {
            return;
        }
        throw Refusal::because(
            'arrange.misfits',
            sprintf('%s would not fit: %s', $this->wanted > 1 ? "$count of $this->wanted" : 'It', $this->misfits[0]->sentence),
            array_values(array_unique(array_map(static fn (Misfit $m): string => $m->element, $this->misfits))),
            [
                'misfits' => array_map(static fn (Misfit $m): array => $m->toArray(), array_slice($this->misfits, 0, 100)),
                'count' => $count,
            ]);
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
