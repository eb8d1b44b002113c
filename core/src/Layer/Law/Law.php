<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * The rule that drives a value along a run: its form, and how it was carried there: shifted along by a share of the run (what leaves at the
 * end comes in at the start), mirrored end for end, scaled.
 */
final readonly class Law
{
    private function __construct(
        public LawKind $kind,
        private Form $form,
        public float $shift,
        public bool $mirrored,
        public float $scale,
    ) {
    }

    /** Of its figures; "shift" is in % of the run. */
    public static function from(Fields $f, Driven $driven): self
    {
        $kind = $f->choice('kind', LawKind::class);
        $shift = $f->has('shift') ? $f->number('shift') : 0.0;
        $scale = $f->has('scale') ? $f->number('scale') : 1.0;
        if (abs($scale) < 1e-6 || abs($scale) > 1000) {
            throw Refusal::because('law.scale', sprintf('A law is scaled by 0.001 to 1000; %s was given.', $scale),
                details: ['field' => 'scale']);
        }

        return new self($kind, $kind->form($f, $driven), fmod($shift, 100.0), $f->bool('mirrored'), $scale);
    }

    public static function constant(float $value): self
    {
        return new self(LawKind::Constant, new Constant($value), 0.0, false, 1.0);
    }

    /** The value when it is the same everywhere. */
    public function same(): ?float
    {
        return $this->form instanceof Constant ? $this->form->value * $this->scale : null;
    }

    /**
     * The value at a share of the run, 0 to 1.
     *
     * @param  int  $n  number of the piece there, from 0
     */
    public function at(float $t, int $n): float
    {
        if ($this->mirrored) {
            $t = 1 - $t;
        }
        if ($this->shift !== 0.0) {
            $t -= $this->shift / 100;
            $t -= floor($t);
        }

        return $this->scale * $this->form->at($t, $n);
    }

    /** As it is carried elsewhere: mirrored, then shifted on by a share of the run in %, and scaled. */
    public function carried(float $shift, bool $mirrored, float $scale): self
    {
        // in a mirror what is shifted on is shifted back
        $turned = $this->mirrored !== $mirrored;
        $shift = fmod($this->shift + ($turned ? -$shift : $shift), 100.0);

        return new self($this->kind, $this->form, $shift, $turned, $this->scale * $scale);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value, ...$this->form->toArray(), 'shift' => $this->shift, 'mirrored' => $this->mirrored,
            'scale' => $this->scale,
        ];
    }
}
