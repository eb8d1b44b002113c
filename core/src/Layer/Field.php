<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Tie;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Battens or louvres that fill a region of a wall by rule: an opening as it stands, or a drawn polygon; before it, in it or behind it. They
 * are cut to the region, also where its sides slope or arch.
 */
final readonly class Field implements Layered
{
    /**
     * @param  string  $wall  on which its region lies
     * @param  string|null  $opening  that it fills; null where its region is drawn
     * @param  list<array{float, float}>  $region  corners of a drawn one: from the wall's left end, and over the floor of its storey, mm
     * @param  float  $angle  of the battens' run from upright, degrees, counter-clockwise as seen from outside: 90 for level ones
     * @param  float  $wide  of a batten over the region, before it is turned, mm
     * @param  float  $deep  outward, mm
     * @param  float  $turn  about its own axis, degrees
     * @param  float  $out  of its back from the wall's outer face, mm; negative behind that
     */
    private function __construct(
        public string $id,
        public string $name,
        public int $position,
        public string $outline,
        public string $wall,
        public string $storey,
        public ?string $opening,
        public array $region,
        public float $angle,
        public bool $round,
        public float $wide,
        public float $deep,
        public float $turn,
        public float $out,
        public Battens $battens,
        public ?string $finish,
    ) {
    }

    public static function from(Fields $f): self
    {
        $opening = $f->stringOrNull('opening');
        $region = $opening === null ? self::drawn($f) : [];
        $turn = $f->has('turn') ? $f->number('turn') : 0.0;
        if (abs($turn) > 90) {
            throw Refusal::because('field.turn', sprintf('A batten is turned by 90° at the most; %s° was given.', $turn), details: [
                'field' => 'turn',
            ]);
        }
        $round = $f->bool('round');
        $wide = $f->has('wide') ? $f->size('wide', 'The width of a batten') : 40.0;

        return new self(
            $f->string('id'), $f->name('name'), $f->int('position'), $f->string('outline'), $f->string('wall'), $f->string('storey'),
            $opening, $region, $f->has('angle') ? fmod($f->number('angle'), 180.0) : 0.0, $round, $wide,
            $round ? $wide : ($f->has('deep') ? $f->size('deep', 'The depth of a batten') : 60.0), $round ? 0.0 : $turn,
            $f->has('out') ? $f->length('out') : 0.0,
            Battens::from($f->has('battens') ? $f->fields('battens') : new Fields([], $f->units())), $f->stringOrNull('finish'),
        );
    }

    /** @return list<array{float, float}> */
    private static function drawn(Fields $f): array
    {
        $region = $ring = [];
        foreach (array_values($f->array('region')) as $point) {
            $point = is_array($point) && array_is_list($point) && count($point) === 2 ? $point : [null, null];
            $at = new Fields(['u' => $point[0], 'v' => $point[1]], $f->units());
            $region[] = [$u = $at->length('u'), $v = $at->length('v')];
            array_push($ring, $u, $v);
        }
        if (count($region) < 3 || count($region) > 200) {
            throw Refusal::because('field.region', sprintf('A drawn region has 3 to 200 corners; %d were given.', count($region)));
        }
        $contour = Contour::polygon($ring);
        if ($contour->crossesItself() || abs($contour->area()) < 100.0) {
            throw Refusal::because('field.region_crosses', sprintf(
                'The region crosses itself, or holds next to nothing: %s by %s about.',
                Length::mark($contour->width()), Length::mark($contour->height()),
            ));
        }

        return $contour->area() > 0 ? $region : array_reverse($region);
    }

    /** How wide one is seen, as it is turned, mm. */
    public function seenWide(): float
    {
        $turn = deg2rad($this->turn);

        return $this->round ? $this->wide : abs($this->wide * cos($turn)) + abs($this->deep * sin($turn));
    }

    /**
     * Whether its battens are cut to the region itself; those that are turned or round are cut square where all of their width is
     * within.
     */
    public function isCutToShape(): bool
    {
        return ! $this->round && $this->turn === 0.0;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Field;
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

    public function storeys(): array
    {
        return [$this->storey];
    }

    public function names(): array
    {
        return [
            ...Naming::of(Tie::StandsIn, $this->outline, $this->storey),
            ...Naming::of(Tie::Lists, $this->wall, $this->opening),
        ];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'position' => $this->position, 'outline' => $this->outline, 'wall' => $this->wall,
            'storey' => $this->storey, 'opening' => $this->opening, 'region' => $this->region, 'angle' => $this->angle,
            'round' => $this->round, 'wide' => $this->wide, 'deep' => $this->deep, 'turn' => $this->turn, 'out' => $this->out,
            'battens' => $this->battens->toArray(), 'finish' => $this->finish,
        ];
    }
}
