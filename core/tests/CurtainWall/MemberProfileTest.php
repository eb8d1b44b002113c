<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\MemberProfile;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MemberProfileTest extends TestCase
{
    /**
     * Areas by hand.
     *
     * @param  array<string, mixed>  $values
     */
    #[DataProvider('sections')]
    public function test_sections_are_as_large_as_reckoned_by_hand(array $values, float $area, float $face, float $depth): void
    {
        $profile = MemberProfile::from(new Fields($values));
        self::assertEqualsWithDelta($area, $profile->area(), 1e-6);
        self::assertEqualsWithDelta([$face, $depth], [$profile->face, $profile->wholeDepth()], 1e-9);
        $again = MemberProfile::from(new Fields($profile->toArray()));
        self::assertSame($profile->key(), $again->key());
        foreach ($profile->contours() as $contour) {
            self::assertGreaterThan(0.0, $contour->area(), 'its inside on its left');
        }
    }

    /** @return iterable<string, array{array<string, mixed>, float, float, float}> */
    public static function sections(): iterable
    {
        yield 'a box' => [['shape' => 'rectangle', 'face' => 60.0, 'depth' => 140.0], 8400.0, 60.0, 140.0];
        yield 'a box 30 behind the glass line with a cap' => [
            ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 150.0, 'setback' => 30.0, 'capWidth' => 50.0, 'capDepth' => 20.0],
            7500.0 + 1000.0, 50.0, 200.0,
        ];
        yield 'a tee' => [
            ['shape' => 'tee', 'face' => 60.0, 'depth' => 120.0, 'flange' => 10.0, 'web' => 12.0], 600.0 + 110 * 12, 60.0, 120.0,
        ];
        yield 'a tube' => [['shape' => 'round', 'face' => 80.0], M_PI * 1600, 80.0, 80.0];
        yield 'a drawn wedge, wherever it was drawn and whichever way round' => [
            ['shape' => 'polygon', 'points' => [1000.0, 200.0, 1030.0, 320.0, 1060.0, 200.0]], 60.0 * 120 / 2, 60.0, 120.0,
        ];
    }

    /** @param  array<string, mixed>  $values */
    #[DataProvider('refused')]
    public function test_sections_that_cannot_be_are_refused(array $values, string $reason): void
    {
        try {
            MemberProfile::from(new Fields($values));
            self::fail('It was made.');
        } catch (Refusal $refusal) {
            self::assertSame($reason, $refusal->reason);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        $box = ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 150.0];
        yield 'a cap wider than its member' => [['capWidth' => 60.0, 'capDepth' => 20.0] + $box, 'profile.cap'];
        yield 'no face' => [['face' => 0.0] + $box, 'size.too_small'];
        yield 'a flange as deep as its tee' => [['shape' => 'tee', 'flange' => 150.0, 'web' => 10.0] + $box, 'profile.tee'];
        yield 'a web wider than its flange' => [['shape' => 'tee', 'flange' => 10.0, 'web' => 80.0] + $box, 'profile.tee'];
        yield 'one that crosses itself' => [
            ['shape' => 'polygon', 'points' => [0.0, 0.0, 100.0, 100.0, 100.0, 0.0, 0.0, 80.0]], 'profile.crosses',
        ];
        yield 'two corners' => [['shape' => 'polygon', 'points' => [0.0, 0.0, 100.0, 100.0]], 'profile.corners'];
        yield 'a line' => [['shape' => 'polygon', 'points' => [0.0, 0.0, 50.0, 0.0, 100.0, 0.0]], 'profile.flat'];
    }
}
