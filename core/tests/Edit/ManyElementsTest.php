<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Element;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\AnyEdit;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Law: in a building of hundreds of elements of every kind, every edit, done many times over, is undone exactly. */
final class ManyElementsTest extends TestCase
{
    /** how often each edit is done at the least */
    private const TIMES = 30;

    /** how many there are of each kind at the least, all the time */
    private const FLOORS = ['storey' => 5, 'outline' => 3, 'wall' => 12, 'opening' => 200];

    public function test_every_edit_is_done_many_times_among_hundreds_and_undone_exactly(): void
    {
        mt_srand(7);
        $house = self::large();
        $times = array_fill_keys(Edits::names(), 0);
        $changes = $states = $seen = [];
        for ($tries = 0; min($times) < self::TIMES && $tries < 30000; $tries++) {
            // the one that was done least often, mostly
            asort($times);
            $names = array_keys($times);
            // chance rounds and recesses a building until few of its walls can be changed: from time to time another is drawn
            [$edit, $args] = $tries % 500 === 499
                ? ['outline.draw', self::another($house, intdiv($tries, 500))]
                : AnyEdit::random($house, $names[mt_rand(0, mt_rand(0, 2) === 0 ? count($names) - 1 : 6)]);
            try {
                $change = $house->try($edit, $args);
                $change->requireDoable();
            } catch (Refusal) {
                continue;
            }
            $after = $house->design->after($change);
            $count = self::counts($after);
            if (array_filter(
                self::FLOORS,
                static fn (int $floor, string $kind): bool => ($count[$kind] ?? 0) < $floor,
                ARRAY_FILTER_USE_BOTH,
            ) !== []) {
                continue; // it would leave too little to go on with
            }
            if (count($changes) % 40 === 0) {
                $states[count($changes)] = self::whole($house->design);
            }
            $changes[] = $change;
            $times[$edit]++;
            $house->design = $after;
            foreach ($change->operations as $operation) {
                $seen[$operation->kind->value][$operation->id] = true;
            }
        }
        self::assertSame([], array_filter($times, static fn (int $n): bool => $n < self::TIMES), 'every edit was done so many times');
        $few = array_diff_key(array_filter(array_map(count(...), $seen), static fn (int $n): bool => $n < self::TIMES), ['settings' => 1]);
        self::assertSame([], $few, 'on many of every kind');
        self::assertGreaterThan(2000, array_sum(array_map(count(...), $seen)));
        self::assertUndone($house->design, $changes, $states);
    }

    /**
     * @param  list<Change>  $changes
     * @param  array<int, array<string, string>>  $states  what there was before some of them
     */
    private static function assertUndone(Design $design, array $changes, array $states): void
    {
        for ($i = count($changes) - 1; $i >= 0; $i--) {
            $design = $design->after($changes[$i]->inverse(''));
            $elements = null;
            foreach ($changes[$i]->operations as $operation) {
                $elements ??= $design->elements();
                $now = $elements[$operation->id] ?? null;
                self::assertSame(self::json($operation->before), self::json($now), "change $i, {$changes[$i]->summary}: $operation->id");
            }
            if (isset($states[$i])) {
                self::assertSame(
                    [],
                    array_merge(array_diff_assoc($states[$i], self::whole($design)), array_diff_assoc(self::whole($design), $states[$i])),
                    "before change $i",
                );
            }
        }
    }

    /** Five storeys, three buildings, and rows of openings all round. */
    private static function large(): House
    {
        $house = House::box(60000, 40000, 300, [4000, 3500, 3500, 3500, 3000]);
        foreach ([80000, 160000] as $x) {
            $house->do('outline.draw', [
                'rectangle' => ['x' => $x, 'width' => 50000, 'depth' => 30000], 'thickness' => 300,
                'base' => $house->storey(0), 'top' => $house->storey(4),
            ]);
        }
        for ($wall = 0; $wall < 12; $wall++) {
            $one = $house->place(['left' => 1500, 'type' => $house->type('W-03')->id], $wall);
            $row = $house->do('opening.repeat', ['ids' => [$one->id], 'pitch' => 4000, 'count' => 6])->chosen;
            $house->do('opening.stack', ['ids' => [$one->id, ...array_slice($row, 0, 5)], 'storeys' => 'all']);
        }

        return $house;
    }

    /** @return array<string, mixed> a building that stands apart from all before it */
    private static function another(House $house, int $number): array
    {
        return [
            'rectangle' => ['x' => -45000 * ($number % 9 + 1), 'y' => -35000 * intdiv($number, 9), 'width' => 40000, 'depth' => 30000],
            'thickness' => 300,
            'base' => $house->storey(0), 'top' => $house->storey(2),
        ];
    }

    /** @return array<string, int> by kind */
    private static function counts(Design $design): array
    {
        return array_count_values(array_map(static fn (Element $e): string => $e->kind()->value, array_values($design->elements())));
    }

    /** @return array<string, string> */
    private static function whole(Design $design): array
    {
        $elements = array_map(self::json(...), $design->elements());
        ksort($elements);

        return $elements;
    }

    private static function json(?Element $element): string
    {
        return json_encode($element?->toArray(), JSON_THROW_ON_ERROR);
    }
}
