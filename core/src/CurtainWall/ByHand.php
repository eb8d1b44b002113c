<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;

/** What was changed by hand on one stretch of a run, against the rules of its type. */
final readonly class ByHand
{
    /**
     * @param  list<LineChange>  $lines  in the order they were made
     * @param  list<MemberChange>  $members  the last one for a piece holds
     * @param  list<InfillChange>  $infills  the last one for a cell holds
     * @param  list<FreeMember>  $free  who is earlier runs through
     */
    private function __construct(public array $lines, public array $members, public array $infills, public array $free)
    {
    }

    public static function nothing(): self
    {
        return new self([], [], [], []);
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->has('lines') ? array_map(LineChange::from(...), $f->list('lines')) : [],
            $f->has('members') ? array_map(MemberChange::from(...), $f->list('members')) : [],
            $f->has('infills') ? array_map(InfillChange::from(...), $f->list('infills')) : [],
            $f->has('free') ? array_map(FreeMember::from(...), $f->list('free')) : [],
        );
    }

    /**
     * What of it is about one facet: the one that begins at an upright line.
     *
     * @param  list<LineChange>  $level  changes of level lines, which all facets have
     */
    public function forFacet(array $level, string $line): self
    {
        $members = [];
        foreach ($this->members as $change) {
            if ($change->axis === Axis::Level && $change->from === $line) {
                $members[] = $change->startingAt(Lines::START);
            }
        }
        $infills = [];
        foreach ($this->infills as $change) {
            if ($change->left === $line) {
                $infills[] = $change->startingAt(Lines::START);
            }
        }

        return new self($level, $members, $infills, []);
    }

    public function isNothing(): bool
    {
        return $this->lines === [] && $this->members === [] && $this->infills === [] && $this->free === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'lines' => array_map(static fn (LineChange $c): array => $c->toArray(), $this->lines),
            'members' => array_map(static fn (MemberChange $c): array => $c->toArray(), $this->members),
            'infills' => array_map(static fn (InfillChange $c): array => $c->toArray(), $this->infills),
            'free' => array_map(static fn (FreeMember $m): array => $m->toArray(), $this->free),
        ];
    }
}
