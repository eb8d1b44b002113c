<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Withers;
use Isleward\Core\Measure\Fields;

/**
 * A roof over an outline: sloped over every wall, or a gable there. Its eaves lie at one level all round, so that over walls with a
 * flatter slope or less overhang it lies higher; over none does its underside come lower than where it springs.
 */
final readonly class Roof implements Layered
{
    use Withers;

    /**
     * @param  list<string>  $also  outlines that it lies over besides, touching it or one another
     * @param  list<string>  $through  outlines that it is cut round, {@see StandsThrough}
     * @param  string  $storey  at whose head it springs
     * @param  float  $level  over that, mm
     * @param  float  $pitch  degrees
     * @param  float  $overhang  from the walls' outer faces, mm
     * @param  bool  $along  whether the overhang is measured along the slope; else level. At gables it is level
     * @param  bool  $within  whether it ends at its walls' inner faces, and springs there: they stand up round it as parapets
     * @param  float  $thick  square to a slope of its own pitch; upright it is as much everywhere, mm
     * @param  EavesCut  $cut  of its eaves; between walls there are none
     * @param  list<RoofEdge>  $edges  walls over which it is otherwise
     * @param  list<Rooflight>  $lights  what stands in its faces, by number
     */
    private function __construct(
        public string $id,
        public string $name,
        public int $position,
        public string $outline,
        public array $also,
        public array $through,
        public string $storey,
        public float $level,
        public float $pitch,
        public float $overhang,
        public bool $along,
        public bool $within,
        public float $thick,
        public EavesCut $cut,
        public array $edges,
        public ?string $finish,
        public array $lights,
    ) {
    }

    public static function from(Fields $f): self
    {
        $edges = [];
        foreach ($f->has('edges') ? array_keys(array_values($f->array('edges'))) : [] as $i) {
            $edge = RoofEdge::from((new Fields(array_values($f->array('edges')), $f->units()))->fields((string) $i));
            if (! $edge->isUsual()) {
                $edges[$edge->wall] = $edge;
            }
        }

        $lights = [];
        foreach ($f->has('lights') ? array_keys(array_values($f->array('lights'))) : [] as $i) {
            $light = Rooflight::from((new Fields(array_values($f->array('lights')), $f->units()))->fields((string) $i));
            $lights[$light->n] = $light;
        }
        ksort($lights);

        return new self(
            $f->string('id'), $f->name('name'), $f->int('position'), $f->string('outline'),
            array_values(array_diff(array_unique($f->has('also') ? $f->strings('also') : []), [$f->string('outline')])),
            $f->has('through') ? array_values(array_unique($f->strings('through'))) : [], $f->string('storey'),
            $f->has('level') ? $f->length('level') : 0.0, $f->has('pitch') ? Pitch::read($f->all()['pitch']) : 35.0,
            $f->has('overhang') ? $f->size('overhang', 'The overhang', 0.0) : 400.0,
            $f->bool('along', false), $f->bool('within', false),
            $f->has('thick') ? $f->size('thick', 'The thickness of a roof') : 250.0,
            $f->choice('cut', EavesCut::class, EavesCut::Upright), array_values($edges), $f->stringOrNull('finish'),
            array_values($lights),
        );
    }

    public function atLevel(float $level): self
    {
        return $this->but(level: $level);
    }

    /** @param  float  $pitch  degrees */
    public function pitched(float $pitch): self
    {
        return $this->but(pitch: $pitch);
    }

    /** With whole gables: what its highest line is does not hang on half hips. */
    public function withoutHips(): self
    {
        return $this->but(edges: array_map(static fn (RoofEdge $e): RoofEdge => $e->withHip(null), $this->edges));
    }

    /** What is otherwise over a wall; null where nothing is. */
    public function edge(string $wall): ?RoofEdge
    {
        foreach ($this->edges as $edge) {
            if ($edge->wall === $wall) {
                return $edge;
            }
        }

        return null;
    }

    /** @param  array<Rooflight>  $lights */
    public function withLights(array $lights): self
    {
        usort($lights, static fn (Rooflight $a, Rooflight $b): int => $a->n <=> $b->n);

        return $this->but(lights: $lights);
    }

    public function light(int $n): ?Rooflight
    {
        foreach ($this->lights as $light) {
            if ($light->n === $n) {
                return $light;
            }
        }

        return null;
    }

    /** Upright through it, mm. */
    public function upright(): float
    {
        return $this->thick / cos(deg2rad($this->pitch));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Roof;
    }

    public function called(): string
    {
        return $this->name;
    }

    public function position(): int
    {
        return $this->position;
    }

    public function outline(): string
    {
        return $this->outline;
    }

    /** @return non-empty-list<string> all that it lies over */
    public function outlines(): array
    {
        return [$this->outline, ...$this->also];
    }

    /** Neither over an outline besides its first nor round it. */
    public function without(string $outline): self
    {
        return $this->but(
            also: array_values(array_diff($this->also, [$outline])),
            through: array_values(array_diff($this->through, [$outline])),
        );
    }

    public function storeys(): array
    {
        return [$this->storey];
    }

    public function names(): array
    {
        return [
            ...Naming::of(Tie::StandsIn, ...$this->outlines(), ...$this->through, ...[$this->storey]),
            ...Naming::of(Tie::MadeOf, ...array_map(static fn (Rooflight $l): string => $l->type, $this->lights)),
        ];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'position' => $this->position, 'outline' => $this->outline,
            'also' => $this->also, 'through' => $this->through,
            'storey' => $this->storey, 'level' => $this->level, 'pitch' => $this->pitch, 'overhang' => $this->overhang,
            'along' => $this->along, 'within' => $this->within,
            'thick' => $this->thick, 'cut' => $this->cut->value,
            'edges' => array_map(static fn (RoofEdge $e): array => $e->toArray(), $this->edges),
            'finish' => $this->finish, 'lights' => array_map(static fn (Rooflight $l): array => $l->toArray(), $this->lights),
        ];
    }
}
