<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;

/** One line added to what a rule sets out, or one of the rule's moved or removed, all along or in one bay or row; kept as it was said. */
final readonly class LineChange
{
    /** Between the name of a line and where alone it was moved to another place: "3@2" is line 3 in the bay or row at line 2. */
    public const IN = '@';

    /**
     * @param  string  $line  of the rule: its number, from "1"; of an added one a name of its own that begins with "+"
     * @param  float  $at  how far it lies from what it is measured from, mm
     * @param  string|null  $within  a level line only in the bay right of this upright one, an upright line only in the row over this
     *                               level one; null for all along
     * @param  string|null  $beside  of an added line: the line of its axis before or after which it lies
     */
    private function __construct(
        public Axis $axis,
        public LineDone $done,
        public string $line,
        public LineFrom $from,
        public float $at,
        public ?string $within = null,
        public ?string $beside = null,
    ) {
    }

    public static function from(Fields $f): self
    {
        $done = $f->choice('done', LineDone::class);
        $called = explode(self::IN, $f->string('line'), 2);
        $from = $f->choice('from', LineFrom::class, LineFrom::Start);

        return new self(
            $f->choice('axis', Axis::class),
            $done,
            $called[0],
            $from,
            $done === LineDone::Removed ? 0.0 : $f->size('at', 'The distance of a line'),
            $f->has('within') ? $f->string('within') : $called[1] ?? null,
            $done === LineDone::Added && $from->isBesideAnother() && $f->has('beside') ? $f->string('beside') : null,
        );
    }

    /** The same under another name. */
    public function called(string $line): self
    {
        return new self($this->axis, $this->done, $line, $this->from, $this->at, $this->within, $this->beside);
    }

    /** Of a line that was added: where it is now. */
    public function asAdded(self $before, ?string $beside): self
    {
        return new self($this->axis, LineDone::Added, $this->line, $this->from, $this->at, $this->within ?? $before->within, $beside);
    }

    /** For a facet, that has one bay. */
    public function allAlong(): self
    {
        return new self($this->axis, $this->done, $this->line, $this->from, $this->at, null, $this->beside);
    }

    /** What its line is called where it stands in one bay or row only. */
    public function name(): string
    {
        return $this->done === LineDone::Moved && $this->within !== null ? $this->line.self::IN.$this->within : $this->line;
    }

    /** Whether both are about one line at one place; an added line is one wherever it stands. */
    public function isAbout(self $other): bool
    {
        return $this->axis === $other->axis && $this->line === $other->line
            && ($this->within === $other->within || str_starts_with($this->line, '+'));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'axis' => $this->axis->value, 'done' => $this->done->value, 'line' => $this->line, 'from' => $this->from->value,
            'at' => $this->at,
        ] + array_filter(['within' => $this->within, 'beside' => $this->beside], static fn (?string $s): bool => $s !== null);
    }
}
