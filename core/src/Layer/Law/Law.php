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
     * @param  int  $count  of the pieces; in a mirror they are counted from the other end
     */
    public function at(float $t, int $n, int $count = 0): float
    {
        return $this->scale * $this->form->at($this->within($t), $this->mirrored && $count > 0 ? $count - 1 - $n : $n);
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

    /** @return list<Handle> as they lie on the run */
    public function handles(): array
    {
        return array_map(function (Handle $h): Handle {
            $at = $h->at + $this->shift / 100;
            $at -= $this->shift === 0.0 ? 0.0 : floor($at + 1e-9);

            return new Handle($h->name, $this->mirrored ? 1 - $at : $at, $this->scale * $h->value, $h->slides);
        }, $this->form->handles());
    }

    /**
     * With a point of its curve dragged elsewhere.
     *
     * @param  float  $at  share of the run, 0 to 1
     *
     * @throws Refusal
     */
    public function dragged(string $handle, float $at, float $value, Driven $driven): self
    {
        return $this->figured($this->form->dragged($handle, $this->within($at), $value / $this->scale), $driven);
    }

    /** With one point more of a drawn curve. */
    public function withPoint(float $at, float $value, Driven $driven): self
    {
        return $this->figured($this->drawn()->withPoint($this->within($at), $value / $this->scale), $driven);
    }

    public function withoutPoint(string $handle, Driven $driven): self
    {
        return $this->figured($this->drawn()->withoutPoint($handle), $driven);
    }

    /**
     * As a law of another kind, that begins as near to this one as it can.
     *
     * @param  array{float, float}  $spread  least and greatest of its values along the run
     */
    public function become(LawKind $kind, Driven $driven, array $spread): self
    {
        [$least, $most] = $spread;
        if ($most - $least < 1e-6) {
            $most = $driven === Driven::Angle ? $least + 30 : $least * 1.5;
        }
        [$least, $most] = [round($least, 1), round($most, 1)];
        $sampled = array_map(fn (float $t): array => [$t, round($this->at($t, 0), 1)], [0.0, 0.25, 0.5, 0.75, 1.0]);
        $values = match ($kind) {
            LawKind::Constant => ['value' => round($this->at(0.5, 0), 1)],
            LawKind::Ramp, LawKind::Seeded => ['from' => $least, 'to' => $most],
            LawKind::Wave => ['from' => $least, 'to' => $most, 'waves' => 2],
            LawKind::Bump => ['from' => $least, 'to' => $most],
            LawKind::Steps => ['values' => [$least, round(($least + $most) / 2, 1), $most]],
            LawKind::Drawn => ['points' => $sampled],
            LawKind::Combined => [
                'how' => Together::Sum->value,
                'first' => $this->kind === LawKind::Combined ? self::constant($least)->toArray() : $this->toArray(),
                'second' => self::constant(0.0)->toArray(),
            ],
        };

        return self::from(new Fields(['kind' => $kind->value] + $values), $driven);
    }

    /** @param  array<string, mixed>  $figures */
    private function figured(array $figures, Driven $driven): self
    {
        return self::from(new Fields([
            ...$figures, 'kind' => $this->kind->value, 'shift' => $this->shift, 'mirrored' => $this->mirrored, 'scale' => $this->scale,
        ]), $driven);
    }

    private function drawn(): Drawn
    {
        return $this->form instanceof Drawn ? $this->form
            : throw Refusal::because('law.not_drawn', 'Only a drawn curve has points of its own.');
    }

    /** The share of its own run that lies at a share of the run it is carried to. */
    private function within(float $t): float
    {
        if ($this->mirrored) {
            $t = 1 - $t;
        }
        if ($this->shift !== 0.0) {
            $t -= $this->shift / 100;
            $t -= floor($t + 1e-9);
        }

        return $t;
    }
}
