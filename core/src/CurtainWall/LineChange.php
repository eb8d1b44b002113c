<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;

/** One line added to what a rule sets out, or one of the rule's moved or removed; kept as it was said. */
final readonly class LineChange
{
    /**
     * @param  string  $line  of the rule: its number, from "1"; of an added one a name of its own that begins with "+"
     * @param  float  $at  how far it lies from what it is measured from, mm
     */
    private function __construct(
        public Axis $axis,
        public LineDone $done,
        public string $line,
        public LineFrom $from,
        public float $at,
    ) {
    }

    public static function from(Fields $f): self
    {
        $done = $f->choice('done', LineDone::class);

        return new self(
            $f->choice('axis', Axis::class),
            $done,
            $f->string('line'),
            $f->choice('from', LineFrom::class, LineFrom::Start),
            $done === LineDone::Removed ? 0.0 : $f->size('at', 'The distance of a line'),
        );
    }

    /** Of a line that was added: where it is now. */
    public function asAdded(): self
    {
        return new self($this->axis, LineDone::Added, $this->line, $this->from, $this->at);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'axis' => $this->axis->value, 'done' => $this->done->value, 'line' => $this->line, 'from' => $this->from->value,
            'at' => $this->at,
        ];
    }
}
