<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\CornerKind;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\Infill;
use Isleward\Core\CurtainWall\Role;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/**
 * A grid type that is being made: its rules as plain values, changed one value at a time by its path. What a changed value leaves open is
 * filled with what is usual, so that every draft can be drawn.
 *
 * Paths: "rules.bays.size", "rules.rows.sizes.1", "rules.profiles.mullion.face" (of several roles: "mullion+transom", of all: "*"),
 * "rules.order", "rules.infills.2" (null takes it away, "+" adds one), "rules.infills.0.infill", "corner.profile.depth", "corner.kind" …
 */
final readonly class GridDraft
{
    private const MODULE = 1200.0;

    /** What members are when nothing else is said, mm (common practice). */
    private const MEMBER = ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 150.0, 'capWidth' => 50.0, 'capDepth' => 20.0];

    private function __construct(public GridRules $rules, public Corner $corner, private Units $units)
    {
    }

    public static function from(Fields $f): self
    {
        $type = GridType::from(new Fields(
            ['id' => '', 'mark' => '?', 'name' => '?', 'position' => 0, 'rules' => $f->array('rules')]
                + ($f->has('corner') ? ['corner' => $f->array('corner')] : []),
            $f->units(),
        ));

        return new self($type->rules(), $type->corner(), $f->units());
    }

    /** One to begin with: modules of 1 200, two rows a storey, members with caps. */
    public static function fresh(Units $units): self
    {
        return self::from(new Fields(['rules' => [
            'bays' => ['by' => 'module', 'size' => self::MODULE, 'remainder' => 'both'],
            'rows' => ['by' => 'sizes', 'sizes' => [900.0], 'after' => 'rest', 'perStorey' => true],
            'profiles' => array_fill_keys(array_column(Role::cases(), 'value'), self::MEMBER),
            'infills' => [
                ['where' => 'everywhere', 'infill' => Infill::vision()->toArray()],
                ['where' => 'storey-rows', 'numbers' => [1], 'infill' => ['kind' => 'spandrel', 'layers' => [6.0, 16.0, 6.0]]],
            ],
        ]], $units));
    }

    /**
     * With one value changed.
     *
     * @throws Refusal when it cannot be, with figures
     */
    public function set(string $path, mixed $value): self
    {
        ['rules' => $rules, 'corner' => $corner] = $this->toArray();
        $steps = explode('.', $path);
        if ($path === 'corner.kind' && $value !== CornerKind::Glass->value && $this->corner->profile === null) {
            $corner = ['kind' => $value, 'profile' => self::plainly($this->rules->profile(Role::Mullion)?->toArray() ?? self::MEMBER)];
        } elseif ($steps[0] === 'corner') {
            $corner = self::put($corner, array_slice($steps, 1), $value);
        } elseif (str_starts_with($path, 'rules.infills.')) {
            $rules['infills'] = self::infills($rules['infills'] ?? [], array_slice($steps, 2), $value);
        } elseif (str_starts_with($path, 'rules.profiles.')) {
            $rules['profiles'] = self::profiles($rules['profiles'] ?? [], $steps[2], array_slice($steps, 3), $value);
        } else {
            $rules = self::put($rules, array_slice($steps, 1), $value);
        }
        foreach (['bays', 'rows'] as $axis) {
            $rules[$axis] = self::settingOut(is_array($rules[$axis] ?? null) ? $rules[$axis] : []);
        }

        return self::from(new Fields(['rules' => $rules, 'corner' => $corner], $this->units));
    }

    /** @return array{rules: array<string, mixed>, corner: array<string, mixed>} */
    public function toArray(): array
    {
        return ['rules' => $this->rules->toArray(), 'corner' => $this->corner->toArray()];
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @param  list<string>  $steps
     * @return array<array-key, mixed>
     */
    private static function put(array $values, array $steps, mixed $value): array
    {
        $step = array_shift($steps);
        if ($step === null) {
            return $values;
        }
        if ($step === '+') {
            return [...$values, $value];
        }
        if ($steps === []) {
            if ($value === null && array_is_list($values)) {
                unset($values[(int) $step]);

                return array_values($values);
            }
            $values[$step] = $value;

            return $values;
        }
        $inner = $values[$step] ?? [];
        $values[$step] = self::put(is_array($inner) ? $inner : [], $steps, $value);

        return $values;
    }

    /**
     * @param  list<string>  $steps
     * @return array<array-key, mixed>
     */
    private static function profiles(mixed $given, string $roles, array $steps, mixed $value): array
    {
        $all = array_column(Role::cases(), 'value');
        $profiles = is_array($given) ? $given : [];
        foreach ($roles === '*' ? $all : explode('+', $roles) as $role) {
            if (! in_array($role, $all, true)) {
                throw Refusal::because('bench.role', sprintf('There is no member called “%s”.', mb_substr($role, 0, 20)));
            }
            $now = is_array($profiles[$role] ?? null) ? $profiles[$role] : self::MEMBER;
            if ($steps === []) {
                $profiles[$role] = $value === null ? null : (is_array($value) && $value !== [] ? $value : $now);

                continue;
            }
            $now[$steps[0]] = $value;
            $profiles[$role] = self::whole($now, $steps[0]);
        }

        return $profiles;
    }

    /**
     * A section with what its shape needs.
     *
     * @param  array<array-key, mixed>  $profile
     * @return array<array-key, mixed>
     */
    private static function whole(array $profile, string $changed): array
    {
        if (($profile['capWidth'] ?? null) !== null && ($changed === 'face' || ($profile['capDepth'] ?? 0.0) === 0.0)) {
            // a cap is as wide as its member until someone says otherwise
            $profile = ($changed === 'face' ? ['capWidth' => $profile['face']] : ['capDepth' => 20.0]) + $profile;
        }
        if (($profile['shape'] ?? '') === 'tee') {
            foreach (['flange' => 10.0, 'web' => 12.0] as $part => $usual) {
                $profile[$part] = ($profile[$part] ?? 0.0) === 0.0 ? $usual : $profile[$part];
            }
        }
        if (($profile['shape'] ?? '') === 'polygon' && ($profile['points'] ?? []) === []) {
            $profile['points'] = [-25.0, 0.0, 25.0, 0.0, 15.0, 150.0, -15.0, 150.0];
        }

        return $profile;
    }

    /**
     * @param  array<string, mixed>  $profile
     * @return array<string, mixed>
     */
    private static function plainly(array $profile): array
    {
        return ($profile['shape'] ?? '') === 'rectangle' ? $profile : self::MEMBER;
    }

    /**
     * @param  list<string>  $steps
     * @return list<mixed>
     */
    private static function infills(mixed $infills, array $steps, mixed $value): array
    {
        $changed = self::put(is_array($infills) ? $infills : [], $steps, $value);
        if ($steps === ['0'] && $value === null) {
            throw Refusal::because('grid.infills', 'The first rule says what fills every cell; change it instead of taking it away.');
        }

        return array_values(array_map(static function (mixed $rule): mixed {
            if (! is_array($rule)) {
                return $rule;
            }
            $infill = is_array($rule['infill'] ?? null) ? $rule['infill'] : ['kind' => 'vision'];
            $glass = in_array($infill['kind'] ?? '', ['vision', 'spandrel'], true);
            $layers = is_array($infill['layers'] ?? null) ? $infill['layers'] : [];
            $right = $glass ? count($layers) % 2 === 1 && $layers !== [] : count($layers) === 1;

            return [
                'infill' => $right ? $infill : ['layers' => $glass ? [6.0, 16.0, 6.0] : [60.0]] + ['density' => 60.0] + $infill,
            ] + $rule + ['numbers' => [1], 'below' => 300.0, 'above' => 900.0, 'every' => 2, 'first' => 1];
        }, $changed));
    }

    /**
     * @param  array<array-key, mixed>  $rule
     * @return array<array-key, mixed> with what its way of setting out needs
     */
    private static function settingOut(array $rule): array
    {
        $by = $rule['by'] ?? '';
        if (($by === 'module' || $by === 'greatest') && ($rule['size'] ?? 0.0) === 0.0) {
            $rule['size'] = self::MODULE;
        }
        if ($by === 'count' && ($rule['count'] ?? 0) === 0) {
            $rule['count'] = 3;
        }
        if ($by === 'sizes' && ($rule['sizes'] ?? []) === []) {
            $rule['sizes'] = [self::MODULE];
        }
        $repeats = ($by === 'module' && ($rule['remainder'] ?? '') !== 'shared') || ($by === 'sizes' && ($rule['after'] ?? '') === 'again');
        if (! $repeats) {
            $rule['offset'] = 0.0;
        }
        if (is_array($rule['sizes'] ?? null) && is_int($rule['restAt'] ?? null)) {
            $rule['restAt'] = min($rule['restAt'], count($rule['sizes']));
        }

        return $rule;
    }
}
