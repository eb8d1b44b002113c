<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** One piece that a screen is made of, or one cut-out that is taken from what was there before it. */
final readonly class ScreenPart
{
    /**
     * @param  int  $n  its number, which it keeps
     * @param  bool  $cut  whether it is taken away
     * @param  string|null  $wall  on which it was drawn; null for one over the whole width
     * @param  string|null  $type  unit type that fills a cut-out
     */
    public function __construct(
        public int $n,
        public bool $cut,
        public ?string $wall,
        public ScreenShape $shape,
        public ?string $type = null,
        public bool $mirrored = false,
    ) {
    }

    public static function from(Fields $f): self
    {
        $shape = ScreenShape::from($f->fields('shape'));

        $cut = $f->bool('cut');
        $type = $f->stringOrNull('type');
        if ($type !== null && (! $cut || $shape->form !== ScreenForm::Rectangle || $shape->radius > 0.0)) {
            throw Refusal::because('screen.unit_shape', 'A unit fills a cut-out that is a rectangle with sharp corners.');
        }

        return new self(
            $f->int('n'),
            $cut,
            $shape->form === ScreenForm::Whole || $shape->form === ScreenForm::Openings ? null : $f->string('wall'),
            $shape,
            $type,
            $type !== null && $f->bool('mirrored'),
        );
    }

    public function with(ScreenShape $shape): self
    {
        return new self($this->n, $this->cut, $this->wall, $shape, $this->type, $this->mirrored);
    }

    /** Its mirror image about an upright line. */
    public function mirrored(float $about): self
    {
        return new self(
            $this->n, $this->cut, $this->wall, $this->shape->mirrored($about), $this->type, $this->type !== null && ! $this->mirrored,
        );
    }

    /** The same under another number, and before another wall. */
    public function copied(int $n, ?string $wall): self
    {
        return new self($n, $this->cut, $wall, $this->shape, $this->type, $this->mirrored);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'n' => $this->n, 'cut' => $this->cut, 'wall' => $this->wall, 'shape' => $this->shape->toArray(), 'type' => $this->type,
            'mirrored' => $this->mirrored,
        ];
    }
}
