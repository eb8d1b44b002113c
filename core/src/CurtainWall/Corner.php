<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** What stands where two stretches meet. */
final readonly class Corner
{
    /**
     * @param  MemberProfile|null  $profile  of a post or a mitred pair: its face is measured from the edge along either side; null of glass
     * @param  float  $joint  between the panes of glass to glass, mm
     * @param  float|null  $takes  of a face that ends beside a post which is square to the other: how much that is, mm
     */
    private function __construct(public CornerKind $kind, public ?MemberProfile $profile, public float $joint, private ?float $takes = null)
    {
    }

    public static function post(MemberProfile $profile): self
    {
        return new self(CornerKind::Post, $profile, 0.0);
    }

    public static function mitred(MemberProfile $profile): self
    {
        return new self(CornerKind::Mitred, $profile, 0.0);
    }

    public static function glass(float $joint): self
    {
        return new self(CornerKind::Glass, null, $joint);
    }

    public static function from(Fields $f): self
    {
        $kind = $f->choice('kind', CornerKind::class);

        $profile = $kind === CornerKind::Glass ? null : MemberProfile::from($f->fields('profile'));
        if ($profile !== null && $profile->shape !== SectionShape::Rectangle) {
            throw Refusal::because(
                'corner.shape',
                'What stands at a corner is a rectangle, fitted to the angle; other sections are for members between corners.',
                details: ['field' => 'shape'],
            );
        }

        return new self(
            $kind,
            $profile,
            $kind === CornerKind::Glass && $f->has('joint') ? $f->size('joint', 'The joint of a corner', 0.0) : 0.0,
        );
    }

    /** How much of the face it takes on either side, from the edge, mm. */
    public function takes(): float
    {
        return $this->takes ?? ($this->profile === null ? $this->joint / 2 : $this->profile->face);
    }

    /** The same for a face that ends beside what stands there. */
    public function taking(float $takes): self
    {
        return new self($this->kind, $this->profile, $this->joint, $takes);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'profile' => $this->profile?->toArray(), 'joint' => $this->joint];
    }
}
