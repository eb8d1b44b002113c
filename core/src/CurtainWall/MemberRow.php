<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Members that are alike: of one profile, cut alike. */
final readonly class MemberRow
{
    /**
     * @param  string  $mark  "M1", "T2", "P1" …
     * @param  float  $length  as cut, mm
     * @param  list<array{float, float}>  $ends  degrees, see {@see RunMember}
     * @param  float|null  $radius  of bent ones, mm
     * @param  float  $volume  of one, mm³
     */
    public function __construct(
        public string $mark,
        public string $what,
        public MemberProfile $profile,
        public float $length,
        public array $ends,
        public ?float $radius,
        public float $volume,
        public int $count,
    ) {
    }
}
