<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Withers;
use Isleward\Core\Layer\Law\Law;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Fins or tubes along a line at a storey, as they were said to be: where, how far apart, and what law each of their sizes follows. */
final readonly class Band implements Layered
{
    use Called;
    use Withers;

    /**
     * @param  string|null  $outline  that it runs along; null for a line of its own
     * @param  list<string>  $walls  of that outline it runs along these; none for all
     * @param  float  $gap  from the line to the back of its pieces, outward, mm
     * @param  float  $foot  over the floor of its storey, mm
     * @param  list<array{float, float}>  $profile  of a drawn section: shares of its thickness and reach, each 0 to 1
     * @param  array<string, Law>  $laws  by {@see Quantity}
     * @param  string|null  $finish  of the project's finishes
     * @param  array<int, array<string, float>|null>  $pinned  what pieces keep, by their number from 0; null for one left out
     */
    private function __construct(
        public string $id,
        public string $name,
        public int $position,
        public ?string $outline,
        public array $walls,
        public ?OwnLine $line,
        public float $gap,
        public string $storey,
        public float $foot,
        public Stand $stand,
        public SectionShape $shape,
        public array $profile,
        public Spaced $spaced,
        public array $laws,
        public ?string $finish,
        public array $pinned,
    ) {
    }

    public static function from(Fields $f): self
    {
        $outline = $f->stringOrNull('outline');
        $line = $f->has('line') ? OwnLine::from($f->fields('line')) : null;
        if (($outline === null) === ($line === null)) {
            throw Refusal::because('band.where', 'A band runs along an outline, or along a line of its own: say one of them.');
        }
        $gap = $f->has('gap') ? $f->length('gap') : 0.0;
        if ($gap < 0) {
            throw Refusal::because('band.gap', 'The gap before the wall cannot be less than nothing.', details: ['field' => 'gap']);
        }
        $shape = $f->choice('shape', SectionShape::class, SectionShape::Flat);
        $given = $f->has('laws') ? $f->fields('laws') : new Fields([], $f->units());
        $laws = [];
        foreach (Quantity::cases() as $quantity) {
            $laws[$quantity->value] = self::given($given, $quantity);
        }

        return new self(
            $f->string('id'), $f->name('name'), $f->int('position'), $outline,
            $f->has('walls') ? array_values(array_unique($f->strings('walls'))) : [], $line, $gap,
            $f->string('storey'), $f->has('foot') ? $f->length('foot') : 0.0, $f->choice('stand', Stand::class, Stand::Standing), $shape,
            $shape === SectionShape::Drawn ? self::profile($f) : [],
            Spaced::from($f->has('spaced') ? $f->fields('spaced') : new Fields(['size' => 200.0], $f->units())),
            $laws, $f->stringOrNull('finish'), self::pins($f),
        );
    }

    private static function given(Fields $laws, Quantity $quantity): Law
    {
        $name = $quantity->value;
        if (! $laws->has($name)) {
            return Law::constant($quantity->usual());
        }
        $given = $laws->all()[$name];

        // a figure alone is the same everywhere
        return is_array($given) && ! array_is_list($given)
            ? Law::from($laws->fields($name), $quantity->driven())
            : Law::constant($quantity->driven()->value($laws, $name));
    }

    /** @return list<array{float, float}> */
    private static function profile(Fields $f): array
    {
        $profile = DrawnSection::from($f, 'band');
        $turns = [];
        foreach ($profile as $i => [$x, $y]) {
            [$bx, $by] = $profile[($i + 1) % count($profile)];
            [$cx, $cy] = $profile[($i + 2) % count($profile)];
            $turns[] = ($bx - $x) * ($cy - $by) - ($by - $y) * ($cx - $bx);
        }
        if (min($turns) < -1e-9 && max($turns) > 1e-9) {
            throw Refusal::because('band.profile_hollow', 'The drawn section has a hollow in it: sections of fins bulge all round.');
        }

        return max($turns) > 1e-9 ? $profile : array_reverse($profile);
    }

    /** @return array<int, array<string, float>|null> */
    private static function pins(Fields $f): array
    {
        $pinned = [];
        foreach ($f->has('pinned') ? $f->list('pinned') : [] as $pin) {
            $n = $pin->count('piece', 'The number of a piece', 0, Spaced::MOST);
            if ($pin->bool('out')) {
                $pinned[$n] = null;

                continue;
            }
            $pinned[$n] = [];
            foreach (Quantity::cases() as $quantity) {
                if ($pin->has($quantity->value)) {
                    $pinned[$n][$quantity->value] = $quantity->driven()->value($pin, $quantity->value);
                }
            }
        }
        ksort($pinned);

        return $pinned;
    }

    public function kind(): Kind
    {
        return Kind::Band;
    }

    public function storeys(): array
    {
        return [$this->storey];
    }

    public function law(Quantity $quantity): Law
    {
        return $this->laws[$quantity->value];
    }

    public function withLaw(Quantity $quantity, Law $law): self
    {
        return $this->but(laws: [...$this->laws, $quantity->value => $law]);
    }

    /** @param  array<int, array<string, float>|null>  $pinned */
    public function withPinned(array $pinned): self
    {
        ksort($pinned);

        return $this->but(pinned: $pinned);
    }

    /** Another like it, on a storey. */
    public function another(string $id, string $name, int $position, string $storey): self
    {
        return $this->but(id: $id, name: $name, position: $position, storey: $storey);
    }

    public function names(): array
    {
        return [
            ...Naming::of(Tie::StandsIn, $this->outline, $this->storey),
            ...Naming::of(Tie::Lists, ...$this->walls),
        ];
    }

    public function toArray(): array
    {
        $pinned = [];
        foreach ($this->pinned as $n => $keeps) {
            $pinned[] = ['piece' => $n] + ($keeps ?? ['out' => true]);
        }

        return [
            'id' => $this->id, 'name' => $this->name, 'position' => $this->position, 'outline' => $this->outline, 'walls' => $this->walls,
            'line' => $this->line?->toArray(), 'gap' => $this->gap, 'storey' => $this->storey, 'foot' => $this->foot,
            'stand' => $this->stand->value, 'shape' => $this->shape->value, 'profile' => $this->profile,
            'spaced' => $this->spaced->toArray(), 'laws' => array_map(static fn (Law $l): array => $l->toArray(), $this->laws),
            'finish' => $this->finish, 'pinned' => $pinned,
        ];
    }
}
