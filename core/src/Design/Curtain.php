<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * That a stretch of an outline is curtain wall, or that an opening is filled with one: by which grid type, how it stands, and what was
 * changed there by hand. The folder CurtainWall knows what a corner and a change by hand may be; here they are kept as plain values.
 */
final readonly class Curtain
{
    use Withers;

    /** A stretch may lean so far either way, degrees. */
    public const STEEPEST = 45.0;

    /**
     * @param  string  $grid  grid type
     * @param  array<string, mixed>  $byHand  against the rules of the type
     * @param  float  $lean  from upright, degrees, positive inward, about its foot
     * @param  float  $foot  how far its foot stands over its storey's floor, or over the datum, mm
     * @param  float|null  $height  of its own, mm; null up to the ceiling of the last storey it runs through
     * @param  array<string, mixed>|null  $corner  what stands at its left end; null as its type says
     * @param  bool  $faceted  of an arc: flat panes between its uprights instead of bent ones
     * @param  bool  $fromDatum  its foot is measured from the datum, and stays there when storeys below grow
     * @param  bool  $square  where it leans, its foot and head are cut square to its face; else level
     * @param  Alignment|null  $bays  what its upright lines are in line with; null as its type sets them out
     * @param  Alignment|null  $rows  what its level lines are in line with
     */
    private function __construct(
        public string $grid,
        public array $byHand,
        public float $lean,
        public float $foot,
        public ?float $height,
        public ?array $corner,
        public bool $faceted,
        public bool $square = false,
        public bool $fromDatum = false,
        public ?Alignment $bays = null,
        public ?Alignment $rows = null,
    ) {
    }

    public static function by(string $grid): self
    {
        return new self($grid, [], 0.0, 0.0, null, null, false);
    }

    public static function from(Fields $f): self
    {
        $lean = $f->has('lean') ? $f->number('lean') : 0.0;
        if (abs($lean) > self::STEEPEST) {
            throw Refusal::because(
                'curtain.lean',
                sprintf(
                    'A stretch stands at %.0f° from the ground at the least; %s° was given, which leans %s° from upright.',
                    90 - self::STEEPEST,
                    rtrim(rtrim(sprintf('%.2f', 90 - abs($lean)), '0'), '.'),
                    rtrim(rtrim(sprintf('%.2f', abs($lean)), '0'), '.'),
                ),
                details: ['field' => 'lean', 'given' => $lean],
            );
        }
        $foot = $f->has('foot') ? $f->length('foot') : 0.0;
        $fromDatum = $f->string('footFrom', 'floor') === 'datum';
        if (abs($foot) > 20000 && ! $fromDatum) {
            throw Refusal::because(
                'curtain.foot',
                sprintf('A foot %s from its floor is past any storey.', Length::format($foot, $f->units())),
                details: ['field' => 'foot', 'given' => $foot],
            );
        }

        return new self(
            $f->string('grid'),
            $f->has('byHand') ? self::plain($f->array('byHand')) : [],
            $lean,
            $foot,
            $f->has('height') ? $f->size('height', 'The height of a curtain wall', 100.0) : null,
            $f->has('corner') ? self::plain($f->array('corner')) : null,
            $f->bool('faceted'),
            $f->bool('square'),
            $fromDatum,
            $f->has('bays') ? Alignment::from($f->fields('bays')) : null,
            $f->has('rows') ? Alignment::from($f->fields('rows')) : null,
        );
    }

    /** The level of its foot over the datum, where the floor of its first storey lies at a level; mm. */
    public function footLevel(float $floor): float
    {
        return $this->fromDatum ? $this->foot : $floor + $this->foot;
    }

    /** @return list<Naming> */
    public function names(): array
    {
        $units = [];
        $byHand = $this->byHand;
        array_walk_recursive($byHand, static function (mixed $value, int|string $key) use (&$units): void {
            if ($key === 'type' && is_string($value)) {
                $units[] = $value;
            }
        });

        return [
            ...Naming::of(Tie::MadeOf, $this->grid, ...$units),
            ...Naming::of(Tie::MeasuredFrom, ...$this->bays->walls ?? [], ...$this->rows->walls ?? []),
        ];
    }

    public function withFoot(float $foot): self
    {
        return $this->but(foot: $foot);
    }

    public function withGrid(string $grid): self
    {
        return $this->but(grid: $grid);
    }

    /** @param  array<string, mixed>  $byHand */
    public function withByHand(array $byHand): self
    {
        return $this->but(byHand: self::plain($byHand));
    }

    /** Whether any of its lines are in line with something, and not as its type sets them out. */
    public function isAligned(): bool
    {
        return $this->bays !== null || $this->rows !== null;
    }

    /** @param  array{bays?: Alignment|null, rows?: Alignment|null}  $to */
    public function aligned(array $to): self
    {
        return $this->but(...$to);
    }

    /**
     * The same when walls go that it may be in line with.
     *
     * @param  array<string, mixed>  $gone  by id
     */
    public function without(array $gone): self
    {
        return $this->but(bays: $this->bays?->without($gone), rows: $this->rows?->without($gone));
    }

    /** Equal for those that are made alike. */
    public function key(): string
    {
        return $this->grid.($this->byHand === [] ? '' : substr(hash('xxh128', serialize($this->byHand)), 0, 12));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'grid' => $this->grid, 'byHand' => $this->byHand, 'lean' => $this->lean, 'foot' => $this->foot, 'height' => $this->height,
            'corner' => $this->corner, 'faceted' => $this->faceted,
        ] + array_filter([
            'square' => $this->square ? true : null, 'footFrom' => $this->fromDatum ? 'datum' : null,
            'bays' => $this->bays?->toArray(), 'rows' => $this->rows?->toArray(),
        ], static fn (mixed $value): bool => $value !== null);
    }

    /**
     * With all figures as they are reckoned with: what came through JSON is the same as what did not. Groups without anything are left out.
     *
     * @param  array<array-key, mixed>  $values
     * @return array<string, mixed>
     */
    private static function plain(array $values): array
    {
        $out = [];
        foreach ($values as $key => $value) {
            $value = match (true) {
                is_array($value) => self::plain($value),
                is_int($value) => (float) $value,
                default => $value,
            };
            $out[$key] = $value;
        }

        /** @var array<string, mixed> $out */
        return $out;
    }
}
