<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** The rules of a grid type: how it is set out, what its members are, which of them run through, what fills its cells. */
final readonly class GridRules
{
    /**
     * @param  array<string, MemberProfile|null>  $profiles  by role; null where there is no member
     * @param  list<Role>  $order  all roles: who comes earlier runs through, the others butt to it
     * @param  float  $joint  between infills where there is no member, mm
     * @param  float  $cover  by how much infills run into what is round them, mm; 0 where glass stands by itself
     * @param  non-empty-list<InfillRule>  $infills  the last that is for a cell holds
     * @param  array<string, string>  $finishes  {@see FinishOf} → a finish of the project
     * @param  bool  $mitre  where sides meet head and foot both are mitred, whoever else runs through
     */
    private function __construct(
        public SettingOut $bays,
        public SettingOut $rows,
        public array $profiles,
        public array $order,
        public float $joint,
        public float $cover,
        public array $infills,
        public bool $mitre = false,
        public array $finishes = [],
    ) {
    }

    /** @throws Refusal when something of it makes no sense by itself, whatever length it is laid along */
    public static function from(Fields $f): self
    {
        $profiles = [];
        $given = $f->fields('profiles');
        foreach (Role::cases() as $role) {
            $profiles[$role->value] = $given->has($role->value) ? MemberProfile::from($given->fields($role->value)) : null;
        }
        $order = Role::cases();
        if ($f->has('order')) {
            $order = array_map(
                static fn (string $role): Role => Role::tryFrom($role) ?? throw self::disorder(),
                $f->strings('order'),
            );
            if (count($order) !== count(Role::cases()) || count(array_unique(array_column($order, 'value'))) !== count($order)) {
                throw self::disorder();
            }
        }
        $infills = array_map(InfillRule::from(...), $f->list('infills'));
        if ($infills === [] || $infills[0]->where !== Where::Everywhere) {
            throw Refusal::because(
                'grid.infills',
                'The first rule says what fills every cell; those after it are for some of them.',
                details: ['field' => 'infills'],
            );
        }
        if (! $f->fields('bays')->bool('perStorey')) {
            return new self(
                SettingOut::from($f->fields('bays')),
                SettingOut::from($f->fields('rows')),
                $profiles,
                $order,
                $f->has('joint') ? $f->size('joint', 'The joint between infills', 0.0) : 0.0,
                $f->has('cover') ? $f->size('cover', 'How far infills run into members', 0.0) : 15.0,
                $infills,
                $f->bool('mitre'),
                self::finishes($f),
            );
        }
        throw Refusal::because('grid.bays_by_storey', 'Only rows are set out storey by storey.', details: ['field' => 'bays']);
    }

    /** The same with its lines set out otherwise. */
    public function laidOut(?SettingOut $bays, ?SettingOut $rows): self
    {
        return new self(
            $bays ?? $this->bays, $rows ?? $this->rows, $this->profiles, $this->order, $this->joint, $this->cover, $this->infills,
            $this->mitre, $this->finishes,
        );
    }

    /** The same for one facet: a single bay. */
    public function ofOneBay(): self
    {
        return $this->laidOut(SettingOut::count(1), null);
    }

    /** The same of one bay and one row without anything round them, filled with what fills every cell. */
    public function plain(): self
    {
        $none = array_fill_keys(array_keys($this->profiles), null);
        $one = SettingOut::count(1);

        return new self($one, $one, $none, $this->order, 0.0, $this->cover, [$this->infills[0]]);
    }

    public function profile(Role $role): ?MemberProfile
    {
        return $this->profiles[$role->value];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'bays' => $this->bays->toArray(), 'rows' => $this->rows->toArray(),
            'profiles' => array_map(static fn (?MemberProfile $p): ?array => $p?->toArray(), $this->profiles),
            'order' => array_column($this->order, 'value'), 'joint' => $this->joint, 'cover' => $this->cover,
            'infills' => array_map(static fn (InfillRule $r): array => $r->toArray(), $this->infills),
        ] + ($this->mitre ? ['mitre' => true] : []) + ($this->finishes === [] ? [] : ['finishes' => $this->finishes]);
    }

    /** @return array<string, string> */
    private static function finishes(Fields $f): array
    {
        $finishes = [];
        foreach ($f->has('finishes') ? $f->array('finishes') : [] as $part => $finish) {
            if (FinishOf::tryFrom((string) $part) === null || ($finish !== null && ! is_string($finish))) {
                throw Refusal::because(
                    'grid.finish',
                    sprintf('“%s” is no part of a curtain wall that takes a finish.', $part),
                    details: ['field' => 'finishes'],
                );
            }
            $finishes += $finish === null ? [] : [(string) $part => $finish];
        }
        ksort($finishes);

        return $finishes;
    }

    private static function disorder(): Refusal
    {
        return Refusal::because(
            'grid.order',
            'Which members run through is said of all six: mullion, left, right, head, foot and transom, each once.',
            details: ['field' => 'order'],
        );
    }
}
