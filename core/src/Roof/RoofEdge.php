<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Measure\Fields;

/**
 * What of a roof is otherwise over one wall than over the rest: its pitch, its overhang, or a gable in place of a slope, whole or
 * with a half hip over it, or left open: the roof ends there as at a gable, and no wall is to close it.
 */
final readonly class RoofEdge
{
    /**
     * @param  float|null  $pitch  degrees; null for the roof's
     * @param  float|null  $overhang  mm, level; null for the roof's
     * @param  float|null  $hip  of a gable: how far over the eaves a slope of that pitch begins, mm; null for none
     */
    private function __construct(
        public string $wall,
        public bool $gable,
        public ?float $pitch,
        public ?float $overhang,
        public ?float $hip,
        public bool $open,
    ) {
    }

    public static function from(Fields $f): self
    {
        $open = $f->bool('open', false) && $f->bool('gable', false);

        return new self(
            $f->string('wall'), $f->bool('gable', false), $f->has('pitch') ? Pitch::read($f->all()['pitch']) : null,
            $f->has('overhang') ? $f->size('overhang', 'The overhang', 0.0) : null,
            $f->has('hip') && $f->bool('gable', false) && ! $open
                ? $f->size('hip', 'The height of a half hip over the eaves', 1.0) : null,
            $open,
        );
    }

    public function withHip(?float $hip): self
    {
        return new self($this->wall, $this->gable, $this->pitch, $this->overhang, $hip, $this->open);
    }

    /** Whether it is as the rest. */
    public function isUsual(): bool
    {
        return ! $this->gable && $this->pitch === null && $this->overhang === null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'wall' => $this->wall, 'gable' => $this->gable, 'pitch' => $this->pitch, 'overhang' => $this->overhang, 'hip' => $this->hip,
            'open' => $this->open,
        ];
    }
}
