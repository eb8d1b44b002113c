<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

/** A line of a given schedule. Lengths in mm; the sill over the storey's floor. */
final readonly class Line
{
    /**
     * @param  int  $row  its row in the file, from 1
     * @param  int|null  $count  altogether, where the line gives no storeys
     * @param  array<string, int>  $byStorey  counts by storey's id
     * @param  list<string>  $problems  what could not be read of it
     */
    public function __construct(
        public int $row,
        public string $mark,
        public string $kind,
        public ?float $width,
        public ?float $height,
        public ?float $sill,
        public ?int $count,
        public array $byStorey,
        public array $problems,
    ) {
    }

    public function wanted(): ?int
    {
        return $this->byStorey === [] ? $this->count : array_sum($this->byStorey);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'row' => $this->row, 'mark' => $this->mark, 'kind' => $this->kind, 'width' => $this->width, 'height' => $this->height,
            'sill' => $this->sill,
            'count' => $this->wanted(), 'byStorey' => (object) $this->byStorey, 'problems' => $this->problems];
    }
}
