<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Finish;
use Isleward\Core\Design\Settings;

/** The parts of a curtain wall that take a finish of their own. */
enum FinishOf: string
{
    case Members = 'members';
    case Caps = 'caps';
    case Corners = 'corners';
    case Spandrel = 'spandrel';
    case Solid = 'solid';
    case Louvre = 'louvre';

    /** Of an infill; null of glass, of what is open, and of a unit, which has finishes of its own. */
    public static function infill(InfillKind $kind): ?self
    {
        return match ($kind) {
            InfillKind::Spandrel => self::Spandrel,
            InfillKind::Solid => self::Solid,
            InfillKind::Louvre => self::Louvre,
            default => null,
        };
    }

    /** Of a member: what stands at corners may have its own. */
    public static function member(RunMember $member): self
    {
        return in_array($member->what, ['corner post', 'mitred mullion'], true) ? self::Corners : self::Members;
    }

    /** What a part is finished in by a grid type's rules: corners as members, where nothing else is said; null as it comes. */
    public function in(GridRules $rules, Settings $settings): ?Finish
    {
        $id = $rules->finishes[$this->value] ?? ($this === self::Corners ? $rules->finishes[self::Members->value] ?? null : null);

        return $id === null ? null : $settings->finish($id);
    }
}
