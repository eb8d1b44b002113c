<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * A straight stretch of a head or sill: a typed length, or a share of what the typed ones leave of the width; level, or rising
 * (falling when negative) by a typed height or at a typed angle. A stretch without length is a step.
 */
final readonly class Stretch
{
    private const STEEPEST = 85.0;

    /**
     * @param  float|null  $length  mm; null for a share
     * @param  float|null  $angle  degrees from level, when the angle is what was typed
     */
    private function __construct(public ?float $length, public float $share, public float $rise, public ?float $angle)
    {
    }

    /** @return list<self> the last one closes the width: it takes a share unless another does */
    public static function run(Fields $f, string $side): array
    {
        $run = [];
        foreach ($f->has($side) ? $f->list($side) : [] as $i => $stretch) {
            $run[] = self::from($stretch, $side, $i);
        }
        if ($run !== [] && array_filter($run, static fn (self $s): bool => $s->length === null) === []) {
            $last = array_pop($run);
            $run[] = new self(null, 1.0, $last->rise, $last->angle);
        }

        return $run;
    }

    private static function from(Fields $f, string $side, int $i): self
    {
        $length = $f->has('length') ? $f->length('length') : null;
        if ($length !== null && $length < 0) {
            throw Refusal::because(
                'outline.length',
                sprintf('Stretch %d of the %s cannot be shorter than nothing; %s was given.', $i + 1, $side, UnitTree::mm($length)),
                details: ['field' => "$side.$i.length"],
            );
        }
        $share = $f->has('share') ? $f->number('share') : 1.0;
        if ($share <= 0) {
            throw Refusal::because('unit.share', 'A share must be more than nothing.', details: ['field' => "$side.$i.share"]);
        }
        if ($f->has('angle')) {
            $angle = $f->number('angle');
            if (abs($angle) > self::STEEPEST) {
                throw Refusal::because(
                    'outline.steep',
                    sprintf(
                        'Stretch %d of the %s may slope by %s° at the most; %s° was given. A steeper one is a step: give it no length.',
                        $i + 1,
                        $side,
                        self::STEEPEST,
                        $angle,
                    ),
                    details: ['field' => "$side.$i.angle"],
                );
            }
            if ($length === 0.0) {
                throw Refusal::because(
                    'outline.step',
                    sprintf('Stretch %d of the %s has no length, so it takes a rise rather than an angle.', $i + 1, $side),
                    details: ['field' => "$side.$i.angle"],
                );
            }

            return new self($length, $share, 0.0, $angle);
        }

        return new self($length, $share, $f->has('rise') ? $f->length('rise') : 0.0, null);
    }

    /**
     * @param  list<self>  $run
     * @return list<array{float, float}> length and rise of each, mm; one level stretch when there are none
     */
    public static function laid(array $run, float $width, string $side): array
    {
        if ($run === []) {
            return [[$width, 0.0]];
        }
        $left = $width;
        $shares = 0.0;
        foreach ($run as $s) {
            $left -= $s->length ?? 0.0;
            $shares += $s->length === null ? $s->share : 0.0;
        }
        if ($left < 1.0) {
            throw Refusal::because(
                'outline.too_long',
                sprintf(
                    'The stretches of the %s take %s and the unit is %s wide.',
                    $side,
                    UnitTree::mm($width - $left),
                    UnitTree::mm($width),
                ),
                details: ['field' => $side, 'over' => -$left]);
        }

        $laid = [];
        foreach ($run as $s) {
            $length = $s->length ?? $left * $s->share / $shares;
            $laid[] = [$length, $s->angle === null ? $s->rise : $length * tan(deg2rad($s->angle))];
        }

        return $laid;
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return ($this->length !== null
                    ? ['length' => $this->length]
                    : ['share' => $this->share]) + ($this->angle !== null
                    ? ['angle' => $this->angle]
                    : ['rise' => $this->rise]);
    }

    /**
     * @param  list<self>  $run
     * @return list<array<string, float>>
     */
    public static function plain(array $run): array
    {
        return array_map(static fn (self $s): array => $s->toArray(), $run);
    }
}
