<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Tie;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Layer\Law\Driven;
use Isleward\Core\Layer\Law\Law;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Battens or louvres that fill a region of a wall by rule: an opening as it stands, a screen or a cut-out of it, a cell of
 * curtain wall, or a drawn polygon; before it, in it or behind it. They
 * are cut to the region, also where its sides slope or arch.
 */
final readonly class Field implements Layered
{
    use Called;

    /**
     * @param  string  $wall  on which its region lies
     * @param  string|null  $opening  that it fills; null where its region is drawn
     * @param  list<array{float, float}>  $region  corners of a drawn one: from the wall's left end, and over the floor of its storey, mm
     * @param  string|null  $screen  whose cut-out it fills, or over all of which before its wall it lies
     * @param  int|null  $cut  number of the cut-out
     * @param  string|null  $cell  of curtain wall that it fills: of its opening, or of its wall
     * @param  float  $angle  of the battens' run from upright, degrees, counter-clockwise as seen from outside: 90 for level ones
     * @param  float  $wide  of a batten over the region, before it is turned, mm
     * @param  float  $deep  outward, mm
     * @param  float  $turn  about its own axis, degrees
     * @param  Law|null  $turnLaw  that drives it instead, from the first batten to the last
     * @param  float  $out  of its back from the wall's outer face, mm; negative behind that
     * @param  float  $web  how thick a tee is, mm
     * @param  list<array{float, float}>  $profile  of a drawn section, as shares of its width and depth
     * @param  float  $frameWide  of a frame round them, seen square on, mm; nothing for none
     * @param  float  $frameDeep  outward, mm
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
        public ?string $screen,
        public ?int $cut,
        public ?string $cell,
        public float $angle,
        public BattenShape $shape,
        public float $wide,
        public float $deep,
        public float $turn,
        public ?Law $turnLaw,
        public float $out,
        public Battens $battens,
        public ?string $finish,
        public float $web,
        public array $profile,
        public float $frameWide,
        public float $frameDeep,
    ) {
    }

    public static function from(Fields $f): self
    {
        [$opening, $screen, $cell] = [$f->stringOrNull('opening'), $f->stringOrNull('screen'), $f->stringOrNull('cell')];
        $region = $opening === null && $screen === null && $cell === null ? self::drawn($f) : [];
        $turn = $f->has('turn') ? $f->number('turn') : 0.0;
        if (abs($turn) > 90) {
            throw Refusal::because('field.turn', sprintf('A batten is turned by 90° at the most; %s° was given.', $turn), details: [
                'field' => 'turn',
            ]);
        }
        $law = $f->has('turnLaw') ? Law::from($f->fields('turnLaw'), Driven::Angle) : null;
        $law = $law?->same() === null ? $law : null;
        // as it was kept before there were other shapes
        $round = $f->bool('round', false) ? BattenShape::Round : BattenShape::Flat;
        $shape = $f->choice('shape', BattenShape::class, $round);
        $wide = $f->has('wide') ? $f->size('wide', 'The width of a batten') : 40.0;
        $deep = $shape === BattenShape::Round ? $wide : ($f->has('deep') ? $f->size('deep', 'The depth of a batten') : 60.0);
        $own = $f->has('web') && $f->length('web') !== 0.0;
        $web = $shape !== BattenShape::Tee ? 0.0 : ($own ? $f->size('web', 'The thickness of a tee') : 5.0);
        if ($web > min($wide, $deep) - 1.0) {
            throw Refusal::because('field.web', sprintf(
                'A tee %s by %s is less than %s thick; %s was given.', Length::mark($wide), Length::mark($deep),
                Length::mark(min($wide, $deep)), Length::mark($web),
            ), details: ['field' => 'web']);
        }
        $frame = $f->has('frameWide') ? $f->length('frameWide') : 0.0;
        if ($frame !== 0.0) {
            $f->size('frameWide', 'The width of a frame');
        }

        return new self(
            $f->string('id'), $f->name('name'), $f->int('position'), $f->string('outline'), $f->string('wall'), $f->string('storey'),
            $opening, $region, $screen, $screen === null || ! $f->has('cut') ? null : $f->int('cut'), $screen === null ? $cell : null,
            $f->has('angle') ? fmod($f->number('angle'), 180.0) : 0.0, $shape, $wide, $deep,
            $shape === BattenShape::Round ? 0.0 : $turn, $shape === BattenShape::Round ? null : $law,
            $f->has('out') ? $f->length('out') : 0.0,
            Battens::from($f->has('battens') ? $f->fields('battens') : new Fields([], $f->units())), $f->stringOrNull('finish'),
            $web, $shape === BattenShape::Drawn ? self::profile($f) : [], $frame,
            $frame === 0.0 ? 0.0 : ($f->has('frameDeep') && $f->length('frameDeep') !== 0.0
                ? $f->size('frameDeep', 'The depth of a frame') : $deep),
        );
    }

    /** @return list<array{float, float}> counter-clockwise */
    private static function profile(Fields $f): array
    {
        $profile = DrawnSection::from($f, 'field');

        return Contour::polygon(array_merge(...$profile))->area() > 0 ? $profile : array_reverse($profile);
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

    /**
     * How far one of so many is turned about its own axis, degrees.
     *
     * @throws Refusal where its law turns one by more than it may be
     */
    public function turnOf(int $i, int $count): float
    {
        $turn = $this->turnLaw?->at($count < 2 ? 0.5 : $i / ($count - 1), $i) ?? $this->turn;
        if (abs($turn) > 90.0) {
            throw Refusal::because('field.turn', sprintf(
                'A batten is turned by 90° at the most; the law turns number %d by %s°.', $i + 1, round($turn, 1),
            ), [$this->id], ['field' => 'turnLaw']);
        }

        return $turn;
    }

    /** How wide one is seen, as it is turned, mm. */
    public function seenWide(?float $turn = null): float
    {
        [$x0, , $x1] = $this->section($turn)->bounds();

        return $x1 - $x0;
    }

    /** How far outward one reaches, as it is turned, mm. */
    public function reach(?float $turn = null): float
    {
        [, $y0, , $y1] = $this->section($turn)->bounds();

        return $y1 - $y0;
    }

    /**
     * Of one as it is turned, about its middle: x over its region, y outward, mm.
     *
     * @param  float|null  $turn  degrees; null for what all are turned by
     */
    public function section(?float $turn = null): Contour
    {
        return $this->shape->section($this->wide, $this->deep, $this->web, $this->profile)
            ->turned(deg2rad($turn ?? $this->turn), new Vec2(0.0, 0.0));
    }

    /**
     * Whether its battens are cut to the region itself; those that are turned, or no flat ones, are cut square where all of their width is
     * within.
     */
    public function isCutToShape(): bool
    {
        return $this->shape === BattenShape::Flat && $this->turn === 0.0 && $this->turnLaw === null;
    }

    /** Whether its battens run upright. */
    public function isUpright(): bool
    {
        return abs($this->angle) < 1e-9;
    }

    public function kind(): Kind
    {
        return Kind::Field;
    }

    public function storeys(): array
    {
        return [$this->storey];
    }

    public function names(): array
    {
        return [
            ...Naming::of(Tie::StandsIn, $this->outline, $this->storey),
            ...Naming::of(Tie::Lists, $this->wall, $this->opening, $this->screen),
        ];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'position' => $this->position, 'outline' => $this->outline, 'wall' => $this->wall,
            'storey' => $this->storey, 'opening' => $this->opening, 'region' => $this->region, 'screen' => $this->screen,
            'cut' => $this->cut, 'cell' => $this->cell, 'angle' => $this->angle, 'shape' => $this->shape->value, 'wide' => $this->wide,
            'deep' => $this->deep, 'turn' => $this->turn, 'turnLaw' => $this->turnLaw?->toArray(),
            'out' => $this->out, 'battens' => $this->battens->toArray(),
            'finish' => $this->finish, 'web' => $this->web, 'profile' => $this->profile, 'frameWide' => $this->frameWide,
            'frameDeep' => $this->frameDeep,
        ];
    }
}
