<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\HostPart;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A straight member drawn across the cells of a stretch at any angle, from an edge or a member to another; (u, v) of its face, mm. */
final readonly class FreeMember
{
    /** As {@see HostPart} has it; one seen from its inside keeps it. */
    public string $name;

    private function __construct(public MemberProfile $profile, public Vec2 $from, public Vec2 $to, ?string $name = null)
    {
        $this->name = $name ?? HostPart::free([$from->x, $from->y, $to->x, $to->y]);
    }

    /** @throws Refusal when it has no length */
    public static function across(MemberProfile $profile, Vec2 $from, Vec2 $to): self
    {
        if ($from->distanceTo($to) < 1.0) {
            throw Refusal::because('free.no_length', 'A free member runs from one place to another; its two ends are one place.');
        }

        return new self($profile, $from, $to);
    }

    public static function from(Fields $f): self
    {
        return self::across(
            MemberProfile::from($f->fields('profile')),
            new Vec2($f->length('fromU'), $f->length('fromV')),
            new Vec2($f->length('toU'), $f->length('toV')),
        );
    }

    /** The same the other way about an upright line. */
    public function mirrored(float $u): self
    {
        return new self($this->profile, new Vec2(2 * $u - $this->to->x, $this->to->y), new Vec2(2 * $u - $this->from->x, $this->from->y));
    }

    /** The same seen from its inside: its left lies right. */
    public function turnedRound(float $width): self
    {
        return new self($this->profile, new Vec2($width - $this->from->x, $this->from->y), new Vec2($width - $this->to->x, $this->to->y),
            $this->name);
    }

    public function moved(float $u, float $v): self
    {
        return new self($this->profile, $this->from->plus(new Vec2($u, $v)), $this->to->plus(new Vec2($u, $v)));
    }

    /** Unit direction along it. */
    public function along(): Vec2
    {
        return $this->to->minus($this->from)->unit();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'profile' => $this->profile->toArray(), 'fromU' => $this->from->x, 'fromV' => $this->from->y, 'toU' => $this->to->x,
            'toV' => $this->to->y,
        ];
    }
}
