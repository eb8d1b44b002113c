<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Withers;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * A sheet that stands before walls of an outline, at a gap and round its corners and arcs: pieces added to one another and cut-outs taken
 * from them, as they were drawn in the elevation. Its edges, and those of its cut-outs, may be closed back to what is behind it.
 */
final readonly class Screen implements Layered
{
    use Called;
    use Withers;

    private const MOST = 5000;

    /**
     * @param  list<string>  $walls  of its outline that it stands before; none for all
     * @param  string  $storey  over whose floor its shapes were drawn
     * @param  float  $gap  from the walls' outer faces to its back, mm
     * @param  float  $thick  mm
     * @param  list<ScreenPart>  $parts  in the order they come in
     * @param  bool  $edges  closed back at its edges
     * @param  bool  $reveals  closed back at its cut-outs
     */
    private function __construct(
        public string $id,
        public string $name,
        public int $position,
        public string $outline,
        public array $walls,
        public string $storey,
        public float $gap,
        public float $thick,
        public array $parts,
        public bool $edges,
        public bool $reveals,
        public ?string $finish,
    ) {
    }

    public static function from(Fields $f): self
    {
        $gap = $f->length('gap');
        if ($gap < 0.0) {
            throw Refusal::because('screen.gap', sprintf('A screen stands before its walls, or against them; %s was given.',
                Length::mark($gap)), details: ['field' => 'gap', 'given' => $gap, 'least' => 0.0]);
        }
        $parts = array_map(ScreenPart::from(...), $f->list('parts'));
        if (count($parts) > self::MOST) {
            throw Refusal::because('screen.too_many', sprintf(
                'That would be %d pieces and cut-outs; a screen has %d at the most.', count($parts), self::MOST,
            ));
        }

        return new self(
            $f->string('id'), $f->name('name'), $f->int('position'), $f->string('outline'),
            array_values(array_unique($f->strings('walls'))), $f->string('storey'), $gap, $f->size('thick', 'The thickness of a screen'),
            $parts, $f->bool('edges'), $f->bool('reveals'), $f->stringOrNull('finish'),
        );
    }

    public function part(int $n): ScreenPart
    {
        foreach ($this->parts as $part) {
            if ($part->n === $n) {
                return $part;
            }
        }
        throw Refusal::because('screen.no_part', sprintf('%s has no piece or cut-out number %d any more.', $this->name, $n), [$this->id]);
    }

    /** @param  list<ScreenPart>  $parts */
    public function withParts(array $parts): self
    {
        return self::from(new Fields(['parts' => array_map(static fn (ScreenPart $p): array => $p->toArray(), $parts)] + $this->toArray()));
    }

    /** Whether something of it is measured from lines or openings. */
    public function isMeasured(): bool
    {
        foreach ($this->parts as $part) {
            if (($part->position?->along->ref ?? $part->sill?->ref) !== null) {
                return true;
            }
        }

        return false;
    }

    public function nextNumber(): int
    {
        return 1 + max([0, ...array_map(static fn (ScreenPart $p): int => $p->n, $this->parts)]);
    }

    /** From its walls' outer faces to its front, mm. */
    public function front(): float
    {
        return $this->gap + $this->thick;
    }

    public function kind(): Kind
    {
        return Kind::Screen;
    }

    public function storeys(): array
    {
        return [$this->storey];
    }

    public function names(): array
    {
        $walls = array_filter(array_map(static fn (ScreenPart $p): ?string => $p->wall, $this->parts), is_string(...));
        $around = array_merge([], ...array_map(static fn (ScreenPart $p): array => $p->shape->around, $this->parts));

        return [
            ...Naming::of(Tie::StandsIn, $this->outline, $this->storey),
            ...Naming::of(Tie::MadeOf, ...array_values(array_unique(array_filter(
                array_map(static fn (ScreenPart $p): ?string => $p->type, $this->parts), is_string(...),
            )))),
            ...Naming::of(Tie::MeasuredFrom, ...array_values(array_unique(array_filter(array_merge([], ...array_map(
                static fn (ScreenPart $p): array => [$p->position?->along->ref, $p->sill?->ref], $this->parts,
            )), is_string(...))))),
            ...Naming::of(Tie::Lists, ...array_values(array_unique([...$this->walls, ...$walls, ...$around]))),
        ];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'position' => $this->position, 'outline' => $this->outline, 'walls' => $this->walls,
            'storey' => $this->storey, 'gap' => $this->gap, 'thick' => $this->thick,
            'parts' => array_map(static fn (ScreenPart $p): array => $p->toArray(), $this->parts),
            'edges' => $this->edges, 'reveals' => $this->reveals, 'finish' => $this->finish,
        ];
    }
}
