<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Pattern;
use Isleward\Core\Design\Tie;
use Isleward\Core\Measure\Fields;

/**
 * The rules of a curtain wall, kept on the rack under a mark. Kept ready to read ({@see __serialize()}) they are plain values until someone
 * asks for them.
 */
final class GridType implements Pattern
{
    private ?GridRules $rules = null;

    private ?Corner $corner = null;

    /**
     * @param  float  $depth  behind the glass line, mm
     * @param  list<string>  $units  unit types that fill cells by its rules
     * @param  array<string, mixed>  $cornerValues
     * @param  array<string, mixed>  $ruleValues
     */
    private function __construct(
        private readonly string $id,
        private readonly string $mark,
        private readonly string $name,
        private readonly int $position,
        private readonly float $depth,
        private readonly array $units,
        private readonly array $cornerValues,
        private readonly array $ruleValues,
    ) {
    }

    public static function from(Fields $f): self
    {
        $rules = GridRules::from($f->fields('rules'));
        $corner = $f->has('corner') ? Corner::from($f->fields('corner')) : self::usualCorner($rules);
        $made = new self(
            $f->string('id'),
            $f->name('mark'),
            $f->name('name'),
            $f->int('position'),
            self::deepest($rules, $corner),
            self::unitsOf($rules),
            $corner->toArray(),
            $rules->toArray(),
        );
        $made->rules = $rules;
        $made->corner = $corner;

        return $made;
    }

    public function rules(): GridRules
    {
        return $this->rules ??= GridRules::from(new Fields($this->ruleValues));
    }

    /** What stands where two of its stretches meet, unless a corner says otherwise. */
    public function corner(): Corner
    {
        return $this->corner ??= Corner::from(new Fields($this->cornerValues));
    }

    public function mark(): string
    {
        return $this->mark;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function position(): int
    {
        return $this->position;
    }

    public function depth(): float
    {
        return $this->depth;
    }

    /** Another made like this one. */
    public function another(string $id, string $mark, int $position): self
    {
        return new self($id, $mark, $this->name, $position, $this->depth, $this->units, $this->cornerValues, $this->ruleValues);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Grid;
    }

    public function names(): array
    {
        return Naming::of(Tie::MadeOf, ...$this->units);
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'mark' => $this->mark, 'name' => $this->name, 'position' => $this->position,
            'corner' => $this->cornerValues, 'rules' => $this->ruleValues,
        ];
    }

    /** @return array<string, mixed> */
    public function __serialize(): array
    {
        return [...$this->toArray(), 'depth' => $this->depth, 'units' => $this->units];
    }

    /**
     * @param  array{id: string, mark: string, name: string, position: int, corner: array<string, mixed>, rules: array<string, mixed>,
     *    depth: float, units: list<string>}  $data
     */
    public function __unserialize(array $data): void
    {
        $this->id = $data['id'];
        $this->mark = $data['mark'];
        $this->name = $data['name'];
        $this->position = $data['position'];
        $this->depth = $data['depth'];
        $this->units = $data['units'];
        $this->cornerValues = $data['corner'];
        $this->ruleValues = $data['rules'];
    }

    /** @return list<string> */
    private static function unitsOf(GridRules $rules): array
    {
        $units = [];
        foreach ($rules->infills as $rule) {
            if ($rule->infill->type !== null) {
                $units[$rule->infill->type] = true;
            }
        }

        return array_keys($units);
    }

    /** A post as its mullions are; of a type without any, glass to glass with its joint. */
    private static function usualCorner(GridRules $rules): Corner
    {
        $like = $rules->profile(Role::Mullion) ?? $rules->profile(Role::Left);

        if ($like === null || $like->shape !== SectionShape::Rectangle) {
            return Corner::glass($rules->joint);
        }
        // as wide as it is deep: of a right angle no less of it stands than of a mullion
        $side = max($like->face, $like->depth);

        return Corner::post(MemberProfile::from(new Fields(['face' => $side, 'depth' => $side] + $like->toArray())));
    }

    private static function deepest(GridRules $rules, Corner $corner): float
    {
        $deepest = 10.0;
        foreach ([...array_values($rules->profiles), $corner->profile] as $profile) {
            $deepest = max($deepest, $profile === null ? 0.0 : $profile->setback + $profile->depth);
        }
        foreach ($rules->infills as $rule) {
            $deepest = max($deepest, $rule->infill->thickness());
        }

        return $deepest;
    }
}
