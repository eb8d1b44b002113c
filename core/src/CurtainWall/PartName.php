<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\HostPart;

/** How cells and members of a curtain wall are named within it, as {@see HostPart} has them. */
final class PartName
{
    /** @param  string|null  $facet  of an arc in facets the line that the facet begins at */
    public static function cell(GridCell $cell, ?string $facet = null): string
    {
        return HostPart::cell($facet ?? $cell->left, $cell->foot);
    }

    /**
     * Null for what stands at a corner, which {@see Run} names.
     *
     * @param  string|null  $facet  of an arc in facets the line that the facet begins at: level members begin there
     */
    public static function member(RunMember|GridMember|FreeMember $member, ?string $facet = null): ?string
    {
        $of = $member instanceof RunMember ? $member->of : $member;

        return match (true) {
            $of === null => null,
            $of instanceof FreeMember => $of->name,
            $of->role->isUpright() => HostPart::member(true, $of->line, $of->from),
            default => HostPart::member(false, $of->line, $facet ?? $of->from),
        };
    }

    /** @param  string|null  $kink  of an arc in facets the line that the kink is on; null at the right end of a stretch */
    public static function corner(?string $kink): string
    {
        return HostPart::corner($kink ?? 'end');
    }
}
