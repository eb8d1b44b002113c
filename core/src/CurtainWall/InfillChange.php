<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;

/** A cell that is filled otherwise than its rule says. */
final readonly class InfillChange
{
    /**
     * @param  string  $left  the line at its left: a number, the name of an added one, or "0"
     * @param  string  $foot  the line under it
     */
    private function __construct(public string $left, public string $foot, public Infill $infill)
    {
    }

    public static function from(Fields $f): self
    {
        return new self($f->string('left'), $f->string('foot'), Infill::from($f->fields('infill')));
    }

    /** The same right of another line. */
    public function startingAt(string $line): self
    {
        return new self($line, $this->foot, $this->infill);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['left' => $this->left, 'foot' => $this->foot, 'infill' => $this->infill->toArray()];
    }
}
