<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Bench;

use Isleward\Core\Bench\GridDraft;
use Isleward\Core\Bench\GridView;
use Isleward\Core\CurtainWall\Role;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class GridBenchTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function view(GridDraft $draft, float $width = 7404.0, int $storeys = 2, float $storey = 3600.0): array
    {
        return GridView::of($draft, House::box()->design, $width, $storeys, $storey);
    }

    /**
     * @param  list<array{from: float, to: float, size: float, path: string|null}>  $chain
     * @return list<array{float, string|null}>
     */
    private static function figures(array $chain): array
    {
        return array_map(static fn (array $d): array => [round($d['size'], 3), $d['path']], $chain);
    }

    public function test_every_figure_of_a_chain_is_the_value_that_typing_it_changes_or_is_left(): void
    {
        // 5 modules of 1 350 in 7 404 leave 654: 327 at either end
        $draft = GridDraft::fresh(Units::Millimetre)->set('rules.bays.size', '1350')->set('rules.bays.remainder', 'both');
        $five = array_fill(0, 5, [1350.0, 'rules.bays.size']);
        self::assertSame([[327.0, null], ...$five, [327.0, null]], self::figures(self::view($draft)['chains']['bays']));
        // 900, the rest, 600: the rest is 2 100 in each storey of 3 600
        $draft = $draft->set('rules.rows.sizes', ['900', '60 cm'])->set('rules.rows.after', 'rest')->set('rules.rows.restAt', 1);
        $storey = [[900.0, 'rules.rows.sizes.0'], [2100.0, null], [600.0, 'rules.rows.sizes.1']];
        self::assertSame([...$storey, ...$storey], self::figures(self::view($draft)['chains']['rows']));
        $draft = $draft->set('rules.rows.sizes.1', '700');
        self::assertSame([2000.0, null], self::figures(self::view($draft)['chains']['rows'])[1]);
    }

    public function test_members_are_changed_for_one_role_for_several_or_for_all(): void
    {
        $draft = GridDraft::fresh(Units::Millimetre)->set('rules.profiles.*.face', '60');
        foreach (Role::cases() as $role) {
            self::assertSame(60.0, $draft->rules->profile($role)?->face);
            self::assertSame(60.0, $draft->rules->profile($role)->capWidth, 'a cap goes with its member');
        }
        $draft = $draft->set('rules.profiles.left+right', null)->set('rules.profiles.transom.shape', 'tee');
        self::assertNull($draft->rules->profile(Role::Left));
        self::assertNotNull($draft->rules->profile(Role::Head));
        self::assertSame([10.0, 12.0], [$draft->rules->profile(Role::Transom)?->flange, $draft->rules->profile(Role::Transom)?->web]);
        $draft = $draft->set('rules.profiles.left', [])->set('rules.order', ['transom', 'head', 'foot', 'mullion', 'left', 'right']);
        self::assertSame(50.0, $draft->rules->profile(Role::Left)?->face);
    }

    public function test_ways_of_setting_out_and_fillings_come_with_what_they_need(): void
    {
        $draft = GridDraft::fresh(Units::Millimetre);
        foreach (['count', 'greatest', 'sizes', 'module'] as $by) {
            $draft = $draft->set('rules.bays.by', $by);
            self::assertSame($by, $draft->rules->bays->by->value);
            self::view($draft->set('rules.bays.after', 'rest'));
        }
        $draft = $draft->set('rules.infills.+', ['where' => 'band', 'infill' => ['kind' => 'solid']]);
        self::assertSame([60.0], $draft->rules->infills[2]->infill->layers);
        self::assertSame([300.0, 900.0], [$draft->rules->infills[2]->below, $draft->rules->infills[2]->above]);
        $draft = $draft->set('rules.infills.2', null)->set('rules.infills.1.infill', ['kind' => 'louvre']);
        self::assertCount(2, $draft->rules->infills);
        self::assertSame('louvre', $draft->rules->infills[1]->infill->kind->value);
        foreach (['glass', 'post', 'mitred'] as $kind) {
            $draft = $draft->set('corner.kind', $kind);
            self::assertSame($kind === 'glass', $draft->corner->profile === null);
        }
        self::assertEquals($draft->toArray(), GridDraft::from(new \Isleward\Core\Measure\Fields($draft->toArray()))->toArray());
    }

    public function test_what_cannot_be_is_refused_and_leaves_the_draft_as_it_was(): void
    {
        $draft = GridDraft::fresh(Units::Millimetre);
        $before = $draft->toArray();
        foreach ([
            ['rules.bays.size', '0', 'at least 1'], ['rules.profiles.mullion.capWidth', 90, 'wider than its member'],
            ['rules.infills.0', null, 'fills every cell'], ['rules.order', ['mullion'], 'each once'], ['rules.profiles.strut.face',
                60, 'no member'],
            ['rules.rows.sizes.0', 'wide', 'wide'],
        ] as [$path, $value, $says]) {
            try {
                $draft->set($path, $value);
                self::fail("$path was not refused.");
            } catch (Refusal $refusal) {
                self::assertStringContainsString($says, $refusal->getMessage());
            }
        }
        self::assertSame($before, $draft->toArray());
    }

    public function test_the_view_shows_details_take_off_and_doubts_of_a_typical_stretch(): void
    {
        $draft = GridDraft::fresh(Units::Millimetre)->set('rules.bays.size', '1350');
        $view = self::view($draft);
        self::assertCount(3, $view['details']);
        self::assertSame(7 * 4, count($view['cells']), 'six uprights between seven bays, four rows');
        self::assertSame(['0 0', '1 1', '2 0', '3 1'], array_values(array_unique(array_map(
            static fn (array $c): string => $c['row'].' '.$c['storeyRow'],
            $view['cells'],
        ))), 'rows, and their places in their storeys');
        self::assertSame(['spandrel 6-16-6', 'vision glass 6-16-6'], array_values(array_unique(array_column($view['cells'], 'says'))));
        $glass = array_sum(array_map(
            static fn (array $c): float => str_starts_with($c['says'],
                'vision') ? ($c['box'][2] - $c['box'][0]) * ($c['box'][3] - $c['box'][1]) : 0.0,
            $view['cells'],
        ));
        self::assertEqualsWithDelta($glass, $view['takeOff']['glass'], 1.0);
        self::assertStringContainsString('7', $view['doubts'][0] ?? '', 'mullions of 7 200 are longer than the usual bar');
    }
}
