<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** One compartment of a unit: glass or a solid infill, straight in the frame or in sashes or leaves that move; or a louvre; or nothing. */
final readonly class Light implements Node
{
    /**
     * @param  Sash|null  $sash  of lights that move
     * @param  list<Slides>  $leaves  of a sliding light, left to right seen from outside
     * @param  int  $folds  leaves of a folding light
     * @param  float  $split  share of a vertical sliding light's height under the middle of its meeting rail
     * @param  float|null  $reach  degrees that it turns when wholly open; null for what is usual
     * @param  float  $ajar  how far it is shown open, 0 to 1
     */
    private function __construct(
        public Operation $operation,
        public HingeSide $hinge,
        public Opens $opens,
        public ?Sash $sash,
        public Glazing $glazing,
        public ?Bars $bars,
        public ?Louvre $louvre,
        public array $leaves,
        public int $tracks,
        public int $folds,
        public Moving $moving,
        public float $split,
        public ?float $reach,
        public float $ajar,
    ) {
    }

    public static function from(Fields $f): self
    {
        $operation = $f->choice('operation', Operation::class);
        $empty = $operation === Operation::Louvre || $operation === Operation::Open;
        $reach = $operation->usualReach() > 0 && $f->has('reach') ? $f->number('reach') : null;
        if ($reach !== null && ($reach <= 0 || $reach > 180)) {
            throw Refusal::because(
                'unit.reach',
                sprintf('A light opens by more than 0° and up to 180°; %s° was given.', $reach),
                details: ['field' => 'reach'],
            );
        }
        $ajar = $f->has('ajar') ? $f->number('ajar') : 0.0;
        if ($ajar < 0 || $ajar > 1) {
            throw Refusal::because(
                'unit.ajar',
                sprintf('A light stands 0 to 100 %% open; %s %% was given.', $ajar * 100),
                details: ['field' => 'ajar'],
            );
        }
        $split = $operation === Operation::VerticalSliding && $f->has('split') ? $f->number('split') : 0.5;
        if ($split < 0.1 || $split > 0.9) {
            throw Refusal::because(
                'unit.split',
                'The meeting rail lies between a tenth and nine tenths of the height.',
                details: ['field' => 'split'],
            );
        }

        return new self(
            $operation,
            $operation->isHanded()
                            ? $f->choice('hinge', HingeSide::class, $operation->isPair() ? HingeSide::Right : null)
                            : HingeSide::Left,
            $operation->isOneWay() ? $f->choice('opens', Opens::class) : Opens::Inward,
            $operation->moves() ? Sash::from($f) : null,
            $empty ? Glazing::from(new Fields(['glass' => 6.0])) : Glazing::from($f),
            ! $empty && $f->has('bars') ? Bars::from($f->fields('bars')) : null,
            $operation === Operation::Louvre ? Louvre::from($f->has('louvre') ? $f->fields('louvre') : new Fields([], $f->units())) : null,
            $operation->slides() ? self::slides($f) : [],
            $operation->slides() && $f->has('tracks') ? $f->count('tracks', 'The number of tracks', 1, 6) : 2,
            $operation === Operation::Folding ? ($f->has('folds') ? $f->count('folds', 'The number of folding leaves', 2, 12) : 4) : 0,
            $operation === Operation::VerticalSliding ? $f->choice('moving', Moving::class, Moving::Both) : Moving::Both,
            $split,
            $reach,
            $ajar,
        );
    }

    /** @return non-empty-list<Slides> */
    private static function slides(Fields $f): array
    {
        $leaves = $f->has('leaves')
                    ? array_map(static fn (string $s): ?Slides => Slides::tryFrom($s), $f->strings('leaves'))
                    : [Slides::Fixed, Slides::Left];
        $known = array_values(array_filter($leaves));
        if ($known === [] || count($known) !== count($leaves) || count($known) > 8) {
            throw Refusal::because(
                'unit.leaves',
                'A sliding light has one to eight leaves, each fixed or sliding left or right.',
                details: ['field' => 'leaves'],
            );
        }
        if (array_filter($known, static fn (Slides $s): bool => $s !== Slides::Fixed) === []) {
            throw Refusal::because('unit.leaves', 'One leaf of a sliding light at least must slide.', details: ['field' => 'leaves']);
        }

        return $known;
    }

    /** How far it turns when wholly open, radians. */
    public function reach(): float
    {
        return deg2rad($this->reach ?? $this->operation->usualReach());
    }

    public function toArray(): array
    {
        $o = $this->operation;

        return ['operation' => $o->value]
            + ($o->isHanded() ? ['hinge' => $this->hinge->value] : [])
            + ($o->isOneWay() ? ['opens' => $this->opens->value] : [])
            + ($this->sash?->toArray() ?? [])
            + ($o === Operation::Louvre || $o === Operation::Open ? [] : $this->glazing->toArray())
            + ($this->bars !== null ? ['bars' => $this->bars->toArray()] : [])
            + ($this->louvre !== null ? ['louvre' => $this->louvre->toArray()] : [])
            + ($o->slides() ? [
                'leaves' => array_map(static fn (Slides $s): string => $s->value, $this->leaves),
                'tracks' => $this->tracks,
            ] : [])
            + ($o === Operation::Folding ? ['folds' => $this->folds] : [])
            + ($o === Operation::VerticalSliding ? ['moving' => $this->moving->value, 'split' => $this->split] : [])
            + ($this->reach !== null ? ['reach' => $this->reach] : [])
            + ($this->ajar > 0 ? ['ajar' => $this->ajar] : []);
    }
}
