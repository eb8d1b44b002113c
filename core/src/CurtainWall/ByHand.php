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
     * @param  bool  $asKept  a free member that makes no sense any more is left out and told
     */
    private function __construct(
        public array $lines,
        public array $members,
        public array $infills,
        public array $free,
        public bool $asKept = false,
    ) {
    }

    /** The same where it was made before: what makes no sense any more is left out and told, not refused. */
    public function asKept(): self
    {
        return new self($this->lines, $this->members, $this->infills, $this->free, true);
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

        $lines = array_values(array_filter($level, static fn (LineChange $c): bool => $c->within === null || $c->within === $line));

        return new self(array_map(static fn (LineChange $c): LineChange => $c->allAlong(), $lines), $members, $infills, []);
    }

    /**
     * With a line added, moved or removed; of one line the latest holds.
     *
     * @param  string|null  $beside  what an added line is measured from, where that is the line before or after it
     */
    public function withLine(LineChange $change, ?string $beside = null): self
    {
        $same = array_values(array_filter($this->lines, static fn (LineChange $c): bool => $c->isAbout($change)));
        $lines = array_values(array_filter($this->lines, static fn (LineChange $c): bool => ! $c->isAbout($change)));
        $added = $same !== [] && $same[0]->done === LineDone::Added ? $same[0] : null;
        if ($added === null) {
            $lines[] = $change;
        } elseif ($change->done !== LineDone::Removed) {
            // one that was added is added elsewhere; removed it was never there
            $lines[] = $change->asAdded($added, $beside ?? $change->beside);
        }

        return new self($lines, $this->members, $this->infills, $this->free);
    }

    /** Whether a change moves a line that was added, which is added elsewhere then. */
    public function hasAdded(LineChange $change): bool
    {
        return $change->done === LineDone::Moved && array_filter(
            $this->lines,
            static fn (LineChange $c): bool => $c->done === LineDone::Added && $c->isAbout($change),
        ) !== [];
    }

    public function withMember(MemberChange $change): self
    {
        $others = array_filter($this->members, static fn (MemberChange $c): bool => $c->axis !== $change->axis
            || $c->line !== $change->line || $c->from !== $change->from);

        return new self($this->lines, [...array_values($others), $change], $this->infills, $this->free);
    }

    public function withInfill(InfillChange $change): self
    {
        $others = array_filter(
            $this->infills,
            static fn (InfillChange $c): bool => $c->left !== $change->left || $c->foot !== $change->foot,
        );

        return new self($this->lines, $this->members, [...array_values($others), $change], $this->free);
    }

    public function withFree(FreeMember ...$members): self
    {
        return new self($this->lines, $this->members, $this->infills, [...$this->free, ...array_values($members)]);
    }

    /**
     * Without some of it.
     *
     * @param  string  $of  "lines", "members", "infills" or "free"
     * @param  list<int>  $places  which, from 0
     */
    public function without(string $of, array $places): self
    {
        $gone = array_flip($places);

        return new self(
            $of === 'lines' ? array_values(array_diff_key($this->lines, $gone)) : $this->lines,
            $of === 'members' ? array_values(array_diff_key($this->members, $gone)) : $this->members,
            $of === 'infills' ? array_values(array_diff_key($this->infills, $gone)) : $this->infills,
            $of === 'free' ? array_values(array_diff_key($this->free, $gone)) : $this->free,
        );
    }

    /** A name for a line more, that no other has. */
    public function nextLine(): string
    {
        $taken = array_column($this->lines, 'line');
        $n = 1;
        while (in_array('+'.$n, $taken, true)) {
            $n++;
        }

        return '+'.$n;
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
